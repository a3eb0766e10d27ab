import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { get, patch, post, Refused } from '../../api/http';
import type { BoardRow, LessonFacts, Step } from '../../api/resources';

type Changes = Partial<{ title: string; steps: Step[]; minutes: number; record_from: string | null }>;

export interface NewBoardFacts {
  name: string;
  /** Id of the material whose slides it is drawn on. */
  material?: string;
  /** Id of the board that it is a copy of. */
  copy_of?: string;
}

/**
 * A lesson and how it is saved. What one does shows at once; if the server refuses, or someone
 * else has changed the lesson meanwhile, the lesson is shown as it is there, with the reason.
 */
export function useLesson(id: string) {
  const queries = useQueryClient();
  const key = ['lesson', id];
  const lesson = useQuery({ queryKey: key, queryFn: () => get<LessonFacts>(`/api/lessons/${id}`) });

  const save = useMutation({
    // One after the other, so that each knows the version before it.
    scope: { id: `lesson-${id}` },
    mutationFn: (changes: Changes) =>
      patch<LessonFacts>(`/api/lessons/${id}`, {
        ...changes,
        version: queries.getQueryData<LessonFacts>(key)!.version,
      }),
    onMutate: (changes) => {
      queries.setQueryData<LessonFacts>(key, (old) => old && { ...old, ...changes });
    },
    onSuccess: (fresh) => queries.setQueryData(key, fresh),
    onError: () => queries.invalidateQueries({ queryKey: key }),
  });

  const addBoard = useMutation({
    mutationFn: (board: NewBoardFacts) => post<BoardRow>(`/api/lessons/${id}/boards`, board),
    onSuccess: () => queries.invalidateQueries({ queryKey: key }),
  });

  const changeBoard = useMutation({
    mutationFn: ({ id: board, ...changes }: Partial<BoardRow> & { id: string }) =>
      patch<BoardRow>(`/api/boards/${board}`, changes),
    onSuccess: () => queries.invalidateQueries({ queryKey: key }),
  });

  const { mutate } = save;
  const setSteps = useCallback((steps: Step[]) => mutate({ steps }), [mutate]);
  const error = (save.error ?? addBoard.error ?? changeBoard.error ?? lesson.error) as Refused | null;
  const again = useCallback(() => queries.invalidateQueries({ queryKey: ['lesson', id] }), [queries, id]);
  return {
    lesson: lesson.data,
    save: mutate,
    setSteps,
    addBoard: addBoard.mutateAsync,
    changeBoard: changeBoard.mutate,
    /** Looks at the lesson afresh, since what was done on its boards changes its readiness. */
    again,
    saving: save.isPending || addBoard.isPending || changeBoard.isPending,
    error,
  };
}
