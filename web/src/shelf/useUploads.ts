import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Refused } from '../api/http';
import { upload, type UploadRequest } from '../api/upload';
import { newId } from '../live/LiveClient';

/** A file on its way, or what became of it. */
export interface Underway {
  id: string;
  name: string;
  share: number;
  says: string | null;
}

/** Uploads under way, several at once, each with progress and cancel. */
export function useUploads(request: UploadRequest, onDone?: (id: string) => void) {
  const queries = useQueryClient();
  const [list, setList] = useState<Underway[]>([]);
  const controllers = useRef(new Map<string, AbortController>());
  const here = useRef(true);
  useEffect(() => {
    here.current = true;
    return () => {
      here.current = false;
    };
  }, []);

  const change = useCallback(
    (id: string, facts: Partial<Underway>) =>
      setList((all) => all.map((one) => (one.id === id ? { ...one, ...facts } : one))),
    [],
  );
  const forget = useCallback((id: string) => setList((all) => all.filter((one) => one.id !== id)), []);

  const one = async (file: File, more: Partial<UploadRequest>) => {
    const id = newId();
    const controller = new AbortController();
    controllers.current.set(id, controller);
    setList((all) => [...all, { id, name: file.name, share: 0, says: null }]);
    try {
      const made = await upload(
        file,
        { ...request, ...more },
        { signal: controller.signal, onProgress: (share) => change(id, { share }) },
      );
      forget(id);
      await queries.invalidateQueries({ queryKey: ['materials'] });
      await queries.invalidateQueries({ queryKey: ['desk'] });
      // Whoever has gone on to something else is not taken away from it.
      if (here.current) onDone?.(made);
    } catch (error) {
      if (controller.signal.aborted) forget(id);
      else
        change(id, { says: error instanceof Refused ? error.message : 'The upload broke off. Bring the file again.' });
    }
  };

  return {
    list,
    bring: (files: Iterable<File>, more: Partial<UploadRequest> = {}) => {
      for (const file of files) void one(file, more);
    },
    /** Stops one that is under way, or puts away what one that failed has to say. */
    cancel: (id: string) => {
      controllers.current.get(id)?.abort();
      forget(id);
    },
  };
}

export type Uploads = ReturnType<typeof useUploads>;
