import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import { FIRST_PAGE } from '../../api/contracts';
import { post } from '../../api/http';
import type { LessonFacts } from '../../api/shapes';

/** Which step of a lesson is chosen, and which board is looked at: that of the step, or another one for a while. */
export function useLooking(lesson: LessonFacts) {
  const [asked] = useSearchParams();
  const [other, setOther] = useState<string | null>(asked.get('board'));
  const [selected, setSelected] = useState<string | null>(
    () => (lesson.steps.find((one) => other !== null && one.board === other) ?? lesson.steps[0])?.id ?? null,
  );
  const [page, setPage] = useState<string | null>(null);
  const [wanted, setWanted] = useState<string | null>(null);
  const step = lesson.steps.find((candidate) => candidate.id === selected) ?? lesson.steps[0];
  const board = lesson.boards.find((candidate) => candidate.id === (other ?? step?.board));

  const boardId = board?.id;
  useEffect(() => {
    if (boardId) void post(`/api/boards/${boardId}/visits`).catch(() => undefined);
  }, [boardId]);

  /** Looks at a board, a page and a mark of it; without a board, at that of the step. */
  const look = (to: string | null, at: string | null = null, mark: string | null = null) => {
    setOther(to);
    setPage(at);
    setWanted(mark);
  };
  const select = (id: string) => {
    setSelected(id);
    look(null);
  };
  return { step, board, page: page ?? board?.first_page ?? FIRST_PAGE, wanted, select, look, turn: setPage };
}
