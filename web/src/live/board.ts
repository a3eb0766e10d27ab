import type { Commands } from '../api/contracts';
import type { Fold } from './fold';
import type { Entry } from './protocol';

export type NewMark = Commands['board.put']['marks'][number];
export type MarkChange = Commands['board.change']['changes'][number];

/** Anything on a board page: as put, with author, time (ms since the epoch) and place in the pile. */
export type Mark = NewMark & { by: string; at: number; z: number };

export type Op =
  | { op: 'put'; mark: NewMark & Partial<Mark> }
  | { op: 'change'; id: string; set: Record<string, unknown> }
  | { op: 'remove'; id: string };

export interface BoardState {
  pages: string[];
  marks: ReadonlyMap<string, Mark>;
  authors: ReadonlyMap<string, string>;
  /** How many steps each person can undo and redo. */
  undo: ReadonlyMap<string, { done: number; undone: number }>;
  top: number;
}

interface BoardView {
  pages: string[];
  marks: Mark[];
  authors: { id: string; name: string }[];
  undo: { person: string; done: number; undone: number }[];
  top: number;
}

/** Applies operations, giving fresh marks their author, time and place. */
export function applyOps(state: BoardState, ops: Op[], by: string, at: number): BoardState {
  const marks = new Map(state.marks);
  let top = state.top;
  for (const op of ops) {
    if (op.op === 'put') {
      const mark = { by, at, z: top + 1, ...op.mark };
      top = Math.max(top, mark.z);
      marks.set(mark.id, mark);
    } else if (op.op === 'remove') {
      marks.delete(op.id);
    } else {
      const mark = marks.get(op.id);
      if (mark) marks.set(op.id, { ...mark, ...op.set } as Mark);
    }
  }
  return { ...state, marks, top };
}

function countUndo(undo: BoardState['undo'], entry: Entry): BoardState['undo'] {
  const { done, undone } = undo.get(entry.by) ?? { done: 0, undone: 0 };
  const way = entry.body.way;
  const counts =
    way === 'undo'
      ? { done: Math.max(done - 1, 0), undone: undone + 1 }
      : way === 'redo'
        ? { done: done + 1, undone: Math.max(undone - 1, 0) }
        : { done: done + 1, undone: 0 };
  return new Map(undo).set(entry.by, counts);
}

/** Follows a board's stream. */
export const boardFold: Fold<BoardState> = {
  from(view) {
    const { pages, marks, authors, undo, top } = view as BoardView;
    return {
      pages,
      marks: new Map(marks.map((mark) => [mark.id, mark])),
      authors: new Map(authors.map(({ id, name }) => [id, name])),
      undo: new Map(undo.map(({ person, ...counts }) => [person, counts])),
      top,
    };
  },

  apply(state, entry) {
    const author = entry.body.author as string | undefined;
    if (author) state = { ...state, authors: new Map(state.authors).set(entry.by, author) };
    if (entry.kind === 'edited') {
      const edited = applyOps(state, entry.body.ops as Op[], entry.by, entry.at);
      return { ...edited, undo: countUndo(state.undo, entry) };
    }
    if (entry.kind === 'page_added') {
      return { ...state, pages: state.pages.toSpliced(entry.body.index as number, 0, entry.body.page as string) };
    }
    return state;
  },
};
