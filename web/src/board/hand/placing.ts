import { newId } from '../../live/LiveClient';
import type { NewMark } from '../../live/board';
import { round } from '../geometry/boxes';
import type { Ink } from '../ledge/sticks';
import { TEXT } from '../writing/useWriting';
import { SIGN_SIZE, type Tool } from './tools';
import { shapeBetween } from './useShaping';

// What a mark measures, in page px, when no hand has said how large it is to be.
const SHAPE = { w: 240, h: 140 };
const TRIANGLE = [0, 0, 120, 210, -120, 210];
const MOST_LETTERS = 4000;

interface On {
  page: string;
  ink: Ink;
}

/** @returns a sign whose middle is at a point */
export function signAt({ page, ink }: On, sign: NewMark['sign'], x: number, y: number): NewMark {
  const [left, top] = [round(x - SIGN_SIZE / 2), round(y - SIGN_SIZE / 2)];
  return { id: newId(), page, kind: 'sign', x: left, y: top, ink, w: SIGN_SIZE, h: SIGN_SIZE, sign };
}

/** @returns a shape of the usual size around a point */
export function shapeAt({ page, ink }: On, shape: Extract<Tool, { name: 'shape' }>['shape'], x: number, y: number) {
  if (shape === 'polygon')
    return { id: newId(), page, kind: shape, x: round(x), y: round(y - 100), ink, width: 4, points: TRIANGLE };
  const [w, h] = [SHAPE.w / 2, SHAPE.h / 2];
  return shapeBetween(shape, ink, page, newId(), [x - w, y - h], [x + w, y + h]);
}

/** @returns words from elsewhere, as a text around a point */
export function textAt({ page, ink }: On, words: string, x: number, y: number): NewMark {
  const text = words.slice(0, MOST_LETTERS);
  return { id: newId(), page, kind: 'text', x: round(x - 230), y: round(y - 60), ink, text, ...TEXT };
}
