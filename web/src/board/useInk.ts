import { useCallback, useRef, type RefObject } from 'react';
import { MAX_NUMBERS } from '../api/contracts';
import { newId } from '../live/LiveClient';
import type { NewMark } from '../live/board';
import { round } from './boxes';
import { strokePath } from './paths';
import type { Stick } from './sticks';

const GLIMPSE_EVERY = 40;
/** Points closer than this (page px) say nothing new. */
const NEAREST = 1.2;
/** A longer stroke goes on as a second one, so that nothing of it is lost. */
const LONGEST = MAX_NUMBERS - 200;

interface Drawing {
  id: string;
  began: number;
  x: number;
  y: number;
  points: number[];
  told: number;
  toldAt: number;
}

export interface InkHandlers {
  onStroke: (mark: NewMark) => void;
  onGlimpse: (body: Record<string, unknown>) => void;
}

/**
 * Draws a freehand stroke straight into an SVG path while the pen is down, outside of React, so
 * that ink follows the hand. Others glimpse it as it grows; the whole mark is handed over at the end.
 */
export function useInk(path: RefObject<SVGPathElement | null>, page: string, { onStroke, onGlimpse }: InkHandlers) {
  const drawing = useRef<Drawing | null>(null);

  const show = useCallback(() => {
    const now = drawing.current;
    path.current?.setAttribute('d', now ? strokePath(now.points) : '');
    if (now) path.current?.setAttribute('transform', `translate(${now.x} ${now.y})`);
  }, [path]);

  const glimpse = useCallback(
    (stick: Stick) => {
      const now = drawing.current;
      if (!now || performance.now() - now.toldAt < GLIMPSE_EVERY) return;
      const { id, x, y, points, told } = now;
      // The last point is told again, so that pieces join.
      const from = Math.max(told - 2, 0);
      onGlimpse({
        id,
        page,
        kind: stick.kind,
        ink: stick.ink,
        width: stick.width,
        x,
        y,
        from,
        points: points.slice(from),
      });
      now.told = points.length;
      now.toldAt = performance.now();
    },
    [onGlimpse, page],
  );

  const begin = useCallback(
    (x: number, y: number) => {
      drawing.current = {
        id: newId(),
        began: performance.now(),
        x: round(x),
        y: round(y),
        points: [0, 0],
        told: 0,
        toldAt: 0,
      };
      show();
    },
    [show],
  );

  const finish = useCallback(
    (stick: Stick) => {
      const now = drawing.current;
      if (!now) return;
      drawing.current = null;
      const took = Math.round(Math.min(performance.now() - now.began, 120_000));
      const { id, x, y, points } = now;
      onStroke({ id, page, kind: stick.kind, x, y, ink: stick.ink, width: stick.width, points, took });
      show();
    },
    [onStroke, page, show],
  );

  const extend = useCallback(
    (positions: [number, number][], stick: Stick) => {
      const now = drawing.current;
      if (!now) return;
      for (const [pageX, pageY] of positions) {
        const [x, y] = [round(pageX - now.x), round(pageY - now.y)];
        if (Math.hypot(x - now.points.at(-2)!, y - now.points.at(-1)!) >= NEAREST) now.points.push(x, y);
      }
      if (now.points.length > LONGEST) {
        const [x, y] = positions.at(-1)!;
        finish(stick);
        begin(x, y);
        return;
      }
      show();
      glimpse(stick);
    },
    [begin, finish, glimpse, show],
  );

  const cancel = useCallback(() => {
    drawing.current = null;
    show();
  }, [show]);

  return { begin, extend, finish, cancel, active: () => drawing.current !== null };
}
