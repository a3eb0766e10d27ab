import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { get, post } from '../../../api/http';
import type { RecordingEdits, RecordingFacts } from '../../../api/shapes';

/** What can be done to a recording; each may be taken back. */
export type Edit =
  | ['cut' | 'blank' | 'add_stretch', { id: string; from: number; to: number }]
  | ['take_back', { id: string }]
  | ['chapter', { at: number; title?: string | null; as_it_was?: true }]
  | ['hide_names', { on: boolean }]
  | ['leave_out', { person: string; on: boolean }];

/**
 * How a recording was edited, and the way to go on with it.
 *
 * @param onEdited what is left of it, once it is other than it was
 */
export function useEdits(id: string, onEdited: (facts: RecordingFacts) => void) {
  const queries = useQueryClient();
  const path = `/api/recordings/${id}`;
  const { data, error } = useQuery({
    queryKey: ['recording-edits', id],
    queryFn: () => get<RecordingEdits>(`${path}/edits`),
  });
  const act = useMutation({
    mutationFn: ([edit, facts]: Edit) => post<RecordingEdits>(`${path}/edits/${edit}`, facts),
    onSuccess: async (edits) => {
      queries.setQueryData(['recording-edits', id], edits);
      const facts = await get<RecordingFacts>(path);
      queries.setQueryData(['recording', id], facts);
      void queries.invalidateQueries({ queryKey: ['recording-captions', id] });
      onEdited(facts);
    },
  });
  return {
    edits: data,
    edit: (edit: Edit) => act.mutate(edit),
    busy: act.isPending,
    says: (act.error ?? error)?.message ?? null,
  };
}
