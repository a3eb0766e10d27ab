import { useEffect, useState } from 'react';
import { useLive } from '../live/hooks';
import type { Glimpse } from '../live/protocol';
import type { Ink } from './sticks';

/** A stroke that someone is drawing this moment. */
export interface WetStroke {
  id: string;
  page: string;
  kind: 'stroke' | 'highlight';
  ink: Ink;
  width: number;
  x: number;
  y: number;
  points: number[];
}

export interface Pointer {
  page: string;
  x: number;
  y: number;
  until: number;
}

export interface Glimpses {
  ink: ReadonlyMap<string, WetStroke>;
  pointers: ReadonlyMap<string, Pointer>;
}

const NONE: Glimpses = { ink: new Map(), pointers: new Map() };
const POINTER_STAYS = 1_500;

function take(state: Glimpses, { by, kind, body }: Glimpse): Glimpses {
  if (kind === 'pointer') {
    const pointer = { ...(body as unknown as Pointer), until: Date.now() + POINTER_STAYS };
    return { ...state, pointers: new Map(state.pointers).set(by, pointer) };
  }
  if (kind !== 'ink') return state;
  const { from, ...piece } = body as unknown as WetStroke & { from: number };
  const known = state.ink.get(by);
  const points = known?.id === piece.id ? [...known.points.slice(0, from), ...piece.points] : piece.points;
  return { ...state, ink: new Map(state.ink).set(by, { ...piece, points }) };
}

/**
 * What others are doing on a board this moment. A wet stroke goes when its mark arrives, which
 * `settled` tells; pointers fade by themselves.
 */
export function useGlimpses(
  board: string | undefined,
  me: string | undefined,
  settled: (id: string) => boolean,
): Glimpses {
  const live = useLive();
  const [glimpses, setGlimpses] = useState(NONE);

  useEffect(() => {
    if (!board) return;
    const stop = live.watch(`board/${board}`, (all) =>
      setGlimpses((state) => all.filter(({ by }) => by !== me).reduce(take, state)),
    );
    const tidy = setInterval(() => setGlimpses(faded), 500);
    return () => {
      stop();
      clearInterval(tidy);
      setGlimpses(NONE);
    };
  }, [live, board, me]);

  const wet = [...glimpses.ink].filter(([, stroke]) => !settled(stroke.id));
  return { ink: new Map(wet), pointers: glimpses.pointers };
}

function faded(state: Glimpses): Glimpses {
  const now = Date.now();
  const pointers = [...state.pointers].filter(([, pointer]) => pointer.until > now);
  return pointers.length === state.pointers.size ? state : { ...state, pointers: new Map(pointers) };
}
