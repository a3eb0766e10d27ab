import type { BoardView, Mark } from '../api/shapes';
import type { BoardState } from '../live/board';
import { boardFold } from '../live/board';

/** A mark of Odalys's; whatever is given is other than that. */
export const mark = (id: string, more: Partial<Mark> = {}): Mark => ({
  id,
  page: 'p1',
  kind: 'stroke',
  x: 10,
  y: 10,
  ink: 'lake',
  width: 4,
  points: [0, 0, 50, 50],
  by: 'odalys',
  at: 1,
  z: 1,
  ...more,
});

/** What the server tells of a board with some marks. */
export const boardView = (...marks: Mark[]): BoardView => ({
  pages: ['p1', 'p2'],
  page_facts: [],
  marks,
  authors: [
    { id: 'odalys', name: 'Odalys Brandt' },
    { id: 'farah', name: 'Farah Lindqvist' },
  ],
  undo: [],
  top: marks.length,
  locked: false,
});

export const board = (...marks: Mark[]): BoardState => boardFold.from(boardView(...marks));
