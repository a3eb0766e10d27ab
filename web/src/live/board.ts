import type { Commands } from '../api/contracts';
import type { Fold } from './fold';
import type { Entry } from './protocol';

export type NewMark = Commands['board.put']['marks'][number];
export type MarkChange = Commands['board.change']['changes'][number];

/** What a prop shows; which of these, depends on the prop. */
export interface Shows {
  rolled?: number[];
  index?: number;
  turn?: number;
  ends_at?: number;
  left?: number;
  name?: string | null;
  picked?: string[];
}

/** Anything on a board page: as put, with author, time (ms since the epoch) and place in the pile. */
export type Mark = NewMark & { by: string; at: number; z: number; shows?: Shows };

/** The slide that a page is drawn on; `w` and `h` are its proportions. */
export interface Ground {
  material: string;
  version: number;
  slide: number;
  w: number;
  h: number;
}

export interface PageFacts {
  ground?: Ground;
  grows?: boolean;
}

export type Op =
  | { op: 'put'; mark: NewMark & Partial<Mark> }
  | { op: 'change'; id: string; set: Record<string, unknown> }
  | { op: 'remove'; id: string };

export interface BoardState {
  pages: string[];
  /** What is special about a page, for those that have anything. */
  facts: ReadonlyMap<string, PageFacts>;
  marks: ReadonlyMap<string, Mark>;
  authors: ReadonlyMap<string, string>;
  /** How many steps each person can undo and redo. */
  undo: ReadonlyMap<string, { done: number; undone: number }>;
  top: number;
}

type PageRow = { page: string } & PageFacts;

interface BoardView {
  pages: string[];
  page_facts: PageRow[];
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
      if (mark) marks.set(op.id, changed(mark, op.set));
    }
  }
  return { ...state, marks, top };
}

/** A field that is set to null goes. */
function changed(mark: Mark, set: Record<string, unknown>): Mark {
  const fields = Object.entries({ ...mark, ...set }).filter(([, value]) => value !== null);
  return Object.fromEntries(fields) as unknown as Mark;
}

function lay(state: BoardState, rows: PageRow[]): BoardState {
  const facts = new Map(state.facts);
  const pages = [...state.pages];
  for (const { page, ...more } of rows) {
    if (!pages.includes(page)) pages.push(page);
    facts.set(page, { ...facts.get(page), ...more });
  }
  return { ...state, pages, facts };
}

function addPage(state: BoardState, body: Entry['body']): BoardState {
  const { page, index, ground } = body as { page: string; index: number; ground?: Ground };
  const added = { ...state, pages: state.pages.toSpliced(index, 0, page) };
  return ground ? lay(added, [{ page, ground }]) : added;
}

function takeIn(state: BoardState, body: Entry['body']): BoardState {
  const { pages, marks, authors } = body as {
    pages: PageRow[];
    marks: Mark[];
    authors: { id: string; name: string }[];
  };
  const special = pages.filter((row) => Object.keys(row).length > 1);
  const taken = lay({ ...state, pages: pages.map(({ page }) => page) }, special);
  return {
    ...taken,
    marks: new Map(marks.map((mark) => [mark.id, mark])),
    authors: new Map([...state.authors, ...authors.map(({ id, name }) => [id, name] as const)]),
    top: Math.max(0, ...marks.map(({ z }) => z)),
  };
}

function showProp(state: BoardState, body: Entry['body']): BoardState {
  const mark = state.marks.get(body.id as string);
  if (!mark) return state;
  return { ...state, marks: new Map(state.marks).set(mark.id, { ...mark, shows: body.shows as Shows }) };
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
    const { pages, page_facts, marks, authors, undo, top } = view as BoardView;
    return {
      pages,
      facts: new Map(page_facts.map(({ page, ...facts }) => [page, facts])),
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
    if (entry.kind === 'page_added') return addPage(state, entry.body);
    if (entry.kind === 'laid') return lay(state, entry.body.pages as PageRow[]);
    if (entry.kind === 'taken_in') return takeIn(state, entry.body);
    if (entry.kind === 'prop_used') return showProp(state, entry.body);
    return state;
  },
};
