import { useEffect, useRef } from 'react';
import type { BoardState } from '../../live/board';

/** Chooses marks as soon as all of them are on the page; another list chooses anew, the same one does not. */
export function useWanted(
  wanted: readonly string[],
  board: BoardState,
  page: string,
  selecting: boolean,
  select: (ids: readonly string[]) => void,
) {
  const given = useRef<readonly string[]>(null);
  useEffect(() => {
    if (given.current === wanted || !selecting) return;
    if (wanted.some((id) => board.marks.get(id)?.page !== page)) return;
    select(wanted);
    given.current = wanted;
  }, [wanted, selecting, board.marks, page, select]);
}
