import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { get, post, remove } from '../../api/http';
import type { RecordingNote } from '../../api/shapes';

interface Told {
  notes: RecordingNote[];
}

const NONE: RecordingNote[] = [];

/** What one noted in a recording for oneself. */
export function useNotes(recording: string) {
  const path = `/api/recordings/${recording}/notes`;
  const key = ['recording-notes', recording];
  const queries = useQueryClient();
  const keep = (told: Told) => queries.setQueryData(key, told);
  const { data } = useQuery({ queryKey: key, queryFn: () => get<Told>(path) });
  const add = useMutation({
    mutationFn: (note: { at: number; words: string }) => post<Told>(path, note),
    onSuccess: keep,
  });
  const drop = useMutation({ mutationFn: (id: string) => remove<Told>(`${path}/${id}`), onSuccess: keep });
  return {
    notes: data?.notes ?? NONE,
    error: (add.error ?? drop.error)?.message,
    /** @param at the time of day, ms since the epoch */
    add: (at: number, words: string) => add.mutate({ at: Math.round(at), words }),
    drop: (id: string) => drop.mutate(id),
  };
}
