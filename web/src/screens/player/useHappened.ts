import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { get } from '../../api/http';
import type { RecordingHappened } from '../../api/shapes';
import type { Recorder } from './Recorder';

/** ms of quiet that are still played at its beginning, and before it ends. */
const BEFORE = 2_000;
const AFTER = 1_000;

/** How much happened when in a recording; asked again once its length is another, since it was edited then. */
export const useHappened = (id: string, length: number) =>
  useQuery({
    queryKey: ['recording-happened', id, length],
    queryFn: () => get<RecordingHappened>(`/api/recordings/${id}/happened`),
    staleTime: Infinity,
  }).data;

/** @returns where to go on from, when a moment lies where nothing happens, else null */
export function afterQuiet(quiet: [number, number][], time: number): number | null {
  const found = quiet.find(([from, to]) => time >= from + BEFORE && time < to - AFTER);
  return found ? found[1] - AFTER : null;
}

/** Leaves out what is quiet while it plays, where that is wished. */
export function useSkipping(recorder: Recorder, quiet: [number, number][] | undefined) {
  const [skips, setSkips] = useState(false);
  useEffect(() => {
    if (!skips || !quiet?.length) return;
    return recorder.subscribe(() => {
      if (!recorder.playing || recorder.onItsWay) return;
      const on = afterQuiet(quiet, recorder.time);
      if (on !== null) recorder.seek(on);
    });
  }, [recorder, quiet, skips]);
  return [skips, setSkips] as const;
}
