import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { get, patch, post, type Refused } from '../../api/http';
import type { BoardRow, LessonFacts } from '../../api/shapes';
import { useLive } from '../../live/hooks';
import { useUnsent } from '../../parts/hooks/useUnsent';
import type { Edit } from './planEdits';
import { PlanEditing } from './PlanEditing';

export interface NewBoardFacts {
  name: string;
  /** Id of the material whose slides it is drawn on. */
  material?: string;
  /** Id of the board that it is a copy of. */
  copy_of?: string;
}

/** How often the lesson is looked at again, ms: what is done on its boards changes its readiness. */
const LOOK_AGAIN = 8_000;
/** ms after a change of the plan for which more of them are waited for, before what the core makes of it is asked for. */
const SETTLE = 150;

/** What is known of a lesson besides its plan. */
export function useLessonFacts(id: string) {
  const facts = useQuery<LessonFacts, Refused>({
    queryKey: ['lesson', id],
    queryFn: () => get<LessonFacts>(`/api/lessons/${id}`),
    refetchInterval: LOOK_AGAIN,
  });
  return { lesson: facts.data, error: facts.error, load: facts.refetch };
}

/** A lesson and what one does to its plan and its boards; inside the lesson's live context. */
export function useLesson(facts: LessonFacts, load: () => unknown) {
  const client = useLive();
  const { id } = facts;
  const [editing] = useState(() => new PlanEditing(client, facts));
  useSyncExternalStore(editing.subscribe, () => editing.version);
  useUnsent(editing.unsaved);
  const plan = useSyncExternalStore(editing.subscribe, () => editing.plan);
  const head = useSyncExternalStore(editing.subscribe, () => editing.seen);
  useEffect(() => {
    const timer = setTimeout(() => void load(), SETTLE);
    return () => clearTimeout(timer);
  }, [head, load]);

  const addBoard = useMutation<BoardRow, Refused, NewBoardFacts>({
    mutationFn: (board) => post<BoardRow>(`/api/lessons/${id}/boards`, board),
    onSuccess: () => load(),
  });
  const changeBoard = useMutation<BoardRow, Refused, Partial<BoardRow> & { id: string }>({
    mutationFn: ({ id: board, ...changes }) => patch<BoardRow>(`/api/boards/${board}`, changes),
    onSuccess: () => load(),
  });
  const place = { title: plan.title ?? facts.title, course_id: facts.course_id, number: facts.number };
  const lesson: LessonFacts = { ...facts, ...plan, ...place };
  return {
    lesson,
    /** Number of the last entry of the plan that is shown. */
    seen: head,
    conflicts: editing.conflicts,
    forgetConflicts: editing.forgetConflicts,
    edit: (edits: Edit | Edit[], seen?: number) => void editing.edit(Array.isArray(edits) ? edits : [edits], seen),
    undo: editing.canUndo ? () => void editing.undo() : null,
    redo: editing.canRedo ? () => void editing.redo() : null,
    addBoard: addBoard.mutateAsync,
    changeBoard: changeBoard.mutate,
    saving: editing.unsaved || addBoard.isPending || changeBoard.isPending,
    error: addBoard.error ?? changeBoard.error,
  };
}

export type LessonWork = ReturnType<typeof useLesson>;
