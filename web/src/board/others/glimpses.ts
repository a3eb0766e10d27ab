import type { Glimpse } from '../../api/shapes';

type Piece = Extract<Extract<Glimpse, { kind: 'ink' }>['body'], { points: number[] }>;

/** A stroke that someone is drawing this moment. */
export type WetStroke = Omit<Piece, 'from'> & { heard: number };

export interface Pointer {
  page: string;
  x: number;
  y: number;
  heard: number;
}

/** What others do on a board this moment, by person. */
export interface Glimpses {
  ink: ReadonlyMap<string, WetStroke>;
  pointers: ReadonlyMap<string, Pointer>;
  /** Strokes that are over: pieces of them that come late are not drawn. */
  over: ReadonlyMap<string, string>;
}

export const NO_GLIMPSES: Glimpses = { ink: new Map(), pointers: new Map(), over: new Map() };

/** ms after which a pointer that rests fades. */
const POINTER_STAYS = 1_500;
/** ms after which a stroke that nothing is heard of is taken to have been given up. */
const INK_STAYS = 10_000;

const without = <Value>(map: ReadonlyMap<string, Value>, key: string) => {
  const rest = new Map(map);
  rest.delete(key);
  return rest;
};

/** A stroke is over: it became a mark, or was given up. */
function end(state: Glimpses, by: string, id: string): Glimpses {
  return { ...state, ink: without(state.ink, by), over: new Map(state.over).set(by, id) };
}

function takeOne(state: Glimpses, glimpse: Glimpse, now: number): Glimpses {
  const { by, kind, body } = glimpse;
  if (kind === 'pointer') return { ...state, pointers: new Map(state.pointers).set(by, { ...body, heard: now }) };
  if (kind !== 'ink' || state.over.get(by) === body.id) return state;
  if (!('points' in body)) return end(state, by, body.id);
  const { from, ...piece } = body;
  const known = state.ink.get(by);
  const points = known?.id === piece.id ? [...known.points.slice(0, from), ...piece.points] : piece.points;
  return { ...state, ink: new Map(state.ink).set(by, { ...piece, points, heard: now }) };
}

/** @param now ms since the epoch */
export const take = (state: Glimpses, glimpses: Glimpse[], now: number): Glimpses =>
  glimpses.reduce((so_far, glimpse) => takeOne(so_far, glimpse, now), state);

/** Wet strokes dry for good when their mark is there; should it be erased later, nothing of them comes back. */
export function settle(state: Glimpses, isMark: (id: string) => boolean): Glimpses {
  return [...state.ink].filter(([, { id }]) => isMark(id)).reduce((so_far, [by, { id }]) => end(so_far, by, id), state);
}

/** Lets go of what nothing was heard of for a while. */
export function fade(state: Glimpses, now: number): Glimpses {
  const pointers = [...state.pointers].filter(([, { heard }]) => now - heard < POINTER_STAYS);
  const ink = [...state.ink].filter(([, { heard }]) => now - heard < INK_STAYS);
  if (pointers.length === state.pointers.size && ink.length === state.ink.size) return state;
  return { ...state, pointers: new Map(pointers), ink: new Map(ink) };
}
