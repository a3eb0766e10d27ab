import { ALWAYS, REQUIRED, type Commands } from '../api/contracts';
import type {
  BoardView,
  EditedBody,
  Entry,
  Mark,
  Op,
  PageAddedBody,
  PageRow,
  PropUsedBody,
  TakenInBody,
} from '../api/shapes';
import type { Fold } from './fold';
import { inputOf } from './pending';

export type NewMark = Commands['board.put']['marks'][number];
export type MarkChange = Commands['board.change']['changes'][number];

export type PageFacts = Omit<PageRow, 'page'>;

export interface BoardState {
  pages: string[];
  /** What is special about a page, for those that have anything. */
  facts: ReadonlyMap<string, PageFacts>;
  marks: ReadonlyMap<string, Mark>;
  authors: ReadonlyMap<string, string>;
  /** How many steps each person can undo and redo. */
  undo: ReadonlyMap<string, { done: number; undone: number }>;
  top: number;
  /** Whether only staff change anything on it. */
  locked: boolean;
}

/** @returns whether only staff change anything on a page */
export const isLocked = (state: BoardState, page: string) => state.locked || (state.facts.get(page)?.locked ?? false);

/** Applies operations, giving fresh marks their author, time and place. */
function applyOps(state: BoardState, ops: Op[], by: string, at: number): BoardState {
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

/** A field that is set to null goes, unless a mark needs it: then it stays as it was. */
function changed(mark: Mark, set: Record<string, unknown>): Mark {
  const fields = Object.entries({ ...mark, ...set }).filter(([, value]) => value !== null);
  const after = Object.fromEntries(fields) as unknown as Mark;
  const needed = [...ALWAYS, ...(REQUIRED[after.kind ?? mark.kind] ?? [])] as (keyof Mark)[];
  const missing = needed.filter((field) => !(field in after) && field in mark);
  return missing.length === 0
    ? after
    : { ...Object.fromEntries(missing.map((field) => [field, mark[field]])), ...after };
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

function addPage(state: BoardState, { page, index, ground }: PageAddedBody): BoardState {
  const added = { ...state, pages: state.pages.toSpliced(index, 0, page) };
  return ground ? lay(added, [{ page, ground }]) : added;
}

function takeIn(state: BoardState, { pages, marks, authors }: TakenInBody): BoardState {
  const special = pages.filter((row) => Object.keys(row).length > 1);
  const taken = lay({ ...state, pages: pages.map(({ page }) => page) }, special);
  return {
    ...taken,
    marks: new Map(marks.map((mark) => [mark.id, mark])),
    authors: new Map([...state.authors, ...authors.map(({ id, name }) => [id, name] as const)]),
    top: Math.max(0, ...marks.map(({ z }) => z)),
  };
}

function showProp(state: BoardState, { id, shows }: PropUsedBody): BoardState {
  const mark = state.marks.get(id);
  return mark ? { ...state, marks: new Map(state.marks).set(id, { ...mark, shows }) } : state;
}

function countUndo(undo: BoardState['undo'], by: string, way: EditedBody['way']): BoardState['undo'] {
  const { done, undone } = undo.get(by) ?? { done: 0, undone: 0 };
  const counts =
    way === 'undo'
      ? { done: Math.max(done - 1, 0), undone: undone + 1 }
      : way === 'redo'
        ? { done: done + 1, undone: Math.max(undone - 1, 0) }
        : { done: done + 1, undone: 0 };
  return new Map(undo).set(by, counts);
}

/** Whoever leaves something on a board for the first time says their name with it. */
function sign(state: BoardState, { body, by }: Entry): BoardState {
  return 'author' in body && body.author ? { ...state, authors: new Map(state.authors).set(by, body.author) } : state;
}

/** Follows a board's stream. */
export const boardFold: Fold<BoardState> = {
  from(view) {
    const { pages, page_facts, marks, authors, undo, top, locked } = view as BoardView;
    return {
      pages,
      facts: new Map(page_facts.map(({ page, ...facts }) => [page, facts])),
      marks: new Map(marks.map((mark) => [mark.id, mark])),
      authors: new Map(authors.map(({ id, name }) => [id, name])),
      undo: new Map(undo.map(({ person, ...counts }) => [person, counts])),
      top,
      locked,
    };
  },

  early(state, command, by) {
    const ops: Op[] = [
      ...(inputOf(command, 'board.put')?.marks ?? []).map((mark) => ({ op: 'put' as const, mark })),
      ...(inputOf(command, 'board.change')?.changes ?? []).map(({ id, set }) => ({ op: 'change' as const, id, set })),
      ...(inputOf(command, 'board.remove')?.ids ?? []).map((id) => ({ op: 'remove' as const, id })),
    ];
    return ops.length > 0 ? applyOps(state, ops, by.id, command.at) : state;
  },

  apply(before, entry: Entry) {
    const state = sign(before, entry);
    const { kind, body, by, at } = entry;
    switch (kind) {
      case 'edited':
        return { ...applyOps(state, body.ops, by, at), undo: countUndo(state.undo, by, body.way) };
      case 'page_added':
        return addPage(state, body);
      case 'laid':
        return lay(state, body.pages);
      case 'taken_in':
        return takeIn(state, body);
      case 'locked':
        return { ...state, locked: body.on };
      case 'prop_used':
        return showProp(state, body);
      default:
        return state;
    }
  },
};
