import type { Mark } from '../../api/shapes';
import type { BoardState } from '../../live/board';

/** @returns the marks of a page, bottom first */
export const marksOf = (board: Pick<BoardState, 'marks'>, page: string): Mark[] =>
  [...board.marks.values()]
    .filter((mark) => mark.page === page)
    .sort((one, other) => one.z - other.z || (one.id < other.id ? -1 : 1));
