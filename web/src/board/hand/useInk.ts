import { useCallback, useRef, type RefObject } from 'react';
import type { Stick } from '../../api/shapes';
import { INKS, MAX_NUMBERS, WASHES } from '../../api/contracts';
import { newId } from '../../live/LiveClient';
import type { NewMark } from '../../live/board';
import { round } from '../geometry/boxes';
import { outlinePath } from '../geometry/outline';
import { strokePath } from '../geometry/paths';

const GLIMPSE_EVERY = 40;
/** Points closer than this (page px) say nothing new. */
const NEAREST = 1.2;
/** A longer stroke goes on as a second one, so that nothing of it is lost and each fits into one message, pressures included. */
const LONGEST = MAX_NUMBERS * 0.6;
/** Numbers in one glimpse; what is left comes with the next. */
const MOST_TOLD = 300;
/** How far ink goes towards where the hand is, per sample; the rest is tremble. A pen needs less help than a mouse. */
const FOLLOW = { pen: 0.85, hand: 0.6 };

/** Where the hand is on the page, and how hard a pen is pressed; null for mice and fingers. */
export interface Sample {
  x: number;
  y: number;
  press: number | null;
}

interface Drawing {
  id: string;
  page: string;
  stick: Stick;
  began: number;
  x: number;
  y: number;
  points: number[];
  press: number[] | null;
  told: number;
  toldAt: number;
}

export interface InkHandlers {
  onStroke: (mark: NewMark) => void;
  onGlimpse: (body: Record<string, unknown>) => void;
}

/**
 * Draws a freehand stroke straight into an SVG path while the pen is down, outside of React, so
 * that ink follows the hand. Others glimpse it as it grows; the whole mark is handed over at the end, with the stick and on the page
 * that it was begun with.
 */
export function useInk(path: RefObject<SVGPathElement | null>, { onStroke, onGlimpse }: InkHandlers) {
  const drawing = useRef<Drawing | null>(null);
  const last = useRef<Sample | null>(null);

  const show = useCallback(() => {
    const now = drawing.current;
    const wet = path.current;
    if (!wet) return;
    if (!now) return wet.setAttribute('d', '');
    const { kind, ink, width } = now.stick;
    const pressed = now.press !== null && kind === 'stroke';
    const colour = (kind === 'highlight' ? WASHES : INKS)[ink]!;
    wet.setAttribute('d', pressed ? outlinePath(now.points, now.press!, width) : strokePath(now.points));
    wet.setAttribute('fill', pressed ? colour : 'none');
    wet.setAttribute('stroke', pressed ? 'none' : colour);
    wet.setAttribute('stroke-width', String(width));
    wet.setAttribute('transform', `translate(${now.x} ${now.y})`);
    wet.setAttribute('style', kind === 'highlight' ? 'mix-blend-mode: multiply' : '');
  }, [path]);

  const glimpse = useCallback(() => {
    const now = drawing.current;
    if (!now || performance.now() - now.toldAt < GLIMPSE_EVERY) return;
    const { id, page, stick, x, y, points, told } = now;
    // The last point is told again, so that pieces join.
    const from = Math.max(told - 2, 0);
    const { kind, ink, width } = stick;
    onGlimpse({ id, page, kind, ink, width, x, y, from, points: points.slice(from, from + MOST_TOLD) });
    now.told = Math.min(points.length, from + MOST_TOLD);
    now.toldAt = performance.now();
  }, [onGlimpse]);

  const begin = useCallback(
    ({ x, y, press }: Sample, stick: Stick, page: string) => {
      last.current = { x, y, press };
      drawing.current = {
        id: newId(),
        page,
        stick,
        began: performance.now(),
        x: round(x),
        y: round(y),
        points: [0, 0],
        press: press === null ? null : [press],
        told: 0,
        toldAt: 0,
      };
      show();
    },
    [show],
  );

  const add = useCallback((sample: Sample) => {
    const now = drawing.current!;
    const [x, y] = [round(sample.x - now.x), round(sample.y - now.y)];
    if (Math.hypot(x - now.points.at(-2)!, y - now.points.at(-1)!) < NEAREST) return;
    now.points.push(x, y);
    now.press?.push(Math.round((sample.press ?? 0.5) * 100) / 100);
  }, []);

  const finish = useCallback(() => {
    if (!drawing.current) return;
    // Smoothed ink lags a little; at the end it arrives where the hand is.
    if (last.current) add(last.current);
    const { id, page, stick, x, y, points, press, began } = drawing.current;
    drawing.current = null;
    const took = Math.round(Math.min(performance.now() - began, 120_000));
    const { kind, ink, width } = stick;
    const pressed = press && kind === 'stroke' ? { press } : {};
    onStroke({ id, page, kind, x, y, ink, width, points, took, ...pressed });
    show();
  }, [add, onStroke, show]);

  const extend = useCallback(
    (samples: Sample[]) => {
      const now = drawing.current;
      if (!now) return;
      for (const sample of samples) {
        const follow = now.press ? FOLLOW.pen : FOLLOW.hand;
        const [x, y] = [now.x + now.points.at(-2)!, now.y + now.points.at(-1)!];
        last.current = sample;
        add({ x: x + (sample.x - x) * follow, y: y + (sample.y - y) * follow, press: sample.press });
      }
      if (now.points.length > LONGEST) {
        finish();
        begin(samples.at(-1)!, now.stick, now.page);
        return;
      }
      show();
      glimpse();
    },
    [add, begin, finish, glimpse, show],
  );

  const cancel = useCallback(() => {
    const now = drawing.current;
    if (!now) return;
    drawing.current = null;
    show();
    if (now.told > 0) onGlimpse({ id: now.id, page: now.page, end: true });
  }, [onGlimpse, show]);

  return { begin, extend, finish, cancel, active: () => drawing.current !== null };
}
