import { useCallback, useEffect, useRef, useState } from 'react';
import type { Glimpse } from '../../api/shapes';
import { useLive } from '../../live/hooks';
import type { useView, View } from './useView';

/** What part of which page somebody sees, in px of the page. */
export type Seen = Extract<Extract<Glimpse, { kind: 'view' }>['body'], { board: string }>;

/** Who leads where; nobody while people roam. */
export interface Lead {
  /** Stream of the place. */
  room: string;
  by: string;
  /** Whether the leader, who is oneself, looks at something that the others do not have on show. */
  astray: boolean;
}

type Zoom = Omit<ReturnType<typeof useView>, 'holder'>;

/** ms between two tellings of a view that moves, and of one that rests: those who come late see it too. */
const TELL_EVERY = 60;
const TELL_AGAIN = 2_500;
/** How much of the way is gone with each picture that the screen shows. */
const NEARER = 0.3;

/** @returns the view that shows all of what somebody else sees, on a paper of another size */
export function viewOf(seen: Pick<Seen, 'x' | 'y' | 'w' | 'h'>, size: { width: number; height: number }): View {
  const scale = Math.min(size.width / seen.w, size.height / seen.h);
  return {
    scale,
    x: seen.x + seen.w / 2 - size.width / scale / 2,
    y: seen.y + seen.h / 2 - size.height / scale / 2,
  };
}

/** Tells those who are led what part of the page one sees. */
export function useLeading(lead: Lead | null, me: string, at: { board: string; page: string }, zoom: Zoom) {
  const live = useLive();
  const leading = lead?.by === me;
  const { view, size } = zoom;
  const room = lead?.room;
  const seen = { ...at, x: view.x, y: view.y, w: size.width / view.scale, h: size.height / view.scale };
  const astray = lead?.astray ?? false;
  const latest = useRef(seen);
  const told = useRef(0);
  useEffect(() => {
    latest.current = seen;
  });
  const { board, page, x, y, w, h } = seen;
  useEffect(() => {
    if (!leading || !room) return;
    const tell = () => {
      told.current = Date.now();
      live.now(room, 'view', astray ? { elsewhere: true } : { ...latest.current });
    };
    const soon = setTimeout(tell, Math.max(0, told.current + TELL_EVERY - Date.now()));
    const again = setInterval(tell, TELL_AGAIN);
    return () => {
      clearTimeout(soon);
      clearInterval(again);
    };
  }, [live, leading, room, astray, board, page, x, y, w, h]);
}

/**
 * Follows whoever leads, smoothly. Whoever moves the page by hand looks elsewhere, until they come back.
 *
 * @returns `zoom`, to be moved by hand; whether one looks elsewhere, and how one comes back; and whether the leader looks at something
 * that one cannot see
 */
export function useFollowing(lead: Lead | null, me: string, at: { board: string; page: string }, zoom: Zoom) {
  const live = useLive();
  const following = lead !== null && lead.by !== me;
  const room = following ? lead.room : null;
  const by = lead?.by;
  const [seen, setSeen] = useState<Seen | null>(null);
  const [elsewhere, setElsewhere] = useState(false);
  const [left, setLeft] = useState<string | null>(null);
  const [was, setWas] = useState(by);
  if (was !== by) {
    // Another leads, or nobody: what was seen of the last one does not count.
    setWas(by);
    setSeen(null);
    setElsewhere(false);
    setLeft(null);
  }

  useEffect(() => {
    if (!room) return;
    return live.watch(room, (all) => {
      for (const glimpse of all) {
        if (glimpse.kind !== 'view' || glimpse.by !== by) continue;
        setElsewhere('elsewhere' in glimpse.body);
        if (!('elsewhere' in glimpse.body)) setSeen(glimpse.body);
      }
    });
  }, [live, room, by]);

  const there = seen && seen.board === at.board && seen.page === at.page ? seen : null;
  // Whoever turns to another page is taken along again.
  const apart = following && left === at.page;
  useGoing(following && !apart ? there : null, zoom);

  const { zoom: scaled, pan: panned, fit: fitted } = zoom;
  const leave = useCallback(() => following && setLeft(at.page), [following, at.page]);
  return {
    zoom: {
      ...zoom,
      zoom: useCallback((...by: Parameters<Zoom['zoom']>) => (leave(), scaled(...by)), [leave, scaled]),
      pan: useCallback((...by: Parameters<Zoom['pan']>) => (leave(), panned(...by)), [leave, panned]),
      fit: useCallback(() => (leave(), fitted()), [leave, fitted]),
    },
    apart,
    elsewhere: following && elsewhere,
    back: useCallback(() => setLeft(null), []),
  };
}

/** Moves the paper to a view, a good part of the way with each picture; at once for those who want no motion. */
function useGoing(to: Seen | null, { view, size, show }: Zoom) {
  const present = useRef(view);
  useEffect(() => {
    present.current = view;
  });
  const { width, height } = size;
  useEffect(() => {
    if (!to) return;
    const goal = viewOf(to, { width, height });
    let at = present.current;
    let frame = 0;
    const go = () => {
      at = nearer(at, goal);
      show(at);
      if (at !== goal) frame = requestAnimationFrame(go);
    };
    frame = requestAnimationFrame(go);
    return () => cancelAnimationFrame(frame);
  }, [to, width, height, show]);
}

const still = () => typeof matchMedia === 'function' && matchMedia('(prefers-reduced-motion: reduce)').matches;

/** @returns a view part of the way to the goal, or the goal itself once that is as good as reached */
export function nearer(from: View, goal: View): View {
  const close =
    Math.abs(goal.x - from.x) < 0.5 && Math.abs(goal.y - from.y) < 0.5 && Math.abs(goal.scale / from.scale - 1) < 0.002;
  if (close || still()) return goal;
  const part = (a: number, b: number) => a + (b - a) * NEARER;
  return { scale: part(from.scale, goal.scale), x: part(from.x, goal.x), y: part(from.y, goal.y) };
}
