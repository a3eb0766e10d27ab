import { useMutation } from '@tanstack/react-query';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { patch, post, type Refused } from '../../api/http';
import type { BoardRow } from '../../api/shapes';
import { useUnsent } from '../../parts/hooks/useUnsent';
import { LessonEditing } from './LessonEditing';

export interface NewBoardFacts {
  name: string;
  /** Id of the material whose slides it is drawn on. */
  material?: string;
  /** Id of the board that it is a copy of. */
  copy_of?: string;
}

/** How often the lesson is looked at again, ms: what is done on its boards changes its readiness. */
const LOOK_AGAIN = 8_000;

/** A lesson and what one does to it and its boards. The lesson that belongs to an id, so give the component a key. */
export function useLesson(id: string) {
  const [editing] = useState(() => new LessonEditing(id));
  useSyncExternalStore(editing.subscribe, () => editing.version);
  useUnsent(editing.unsaved);
  const { load } = editing;
  useEffect(() => {
    void load();
    const timer = setInterval(() => void load(), LOOK_AGAIN);
    return () => clearInterval(timer);
  }, [load]);

  const addBoard = useMutation({
    mutationFn: (board: NewBoardFacts) => post<BoardRow>(`/api/lessons/${id}/boards`, board),
    onSuccess: load,
  });
  const changeBoard = useMutation({
    mutationFn: ({ id: board, ...changes }: Partial<BoardRow> & { id: string }) =>
      patch<BoardRow>(`/api/boards/${board}`, changes),
    onSuccess: load,
  });
  return {
    lesson: editing.lesson,
    conflicts: editing.conflicts,
    forgetConflicts: editing.forgetConflicts,
    edit: editing.edit,
    addBoard: addBoard.mutateAsync,
    changeBoard: changeBoard.mutate,
    saving: editing.unsaved || addBoard.isPending || changeBoard.isPending,
    error: (editing.error ?? addBoard.error ?? changeBoard.error) as Refused | null,
  };
}
