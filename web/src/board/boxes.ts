import type { Mark } from '../live/board';
import { layOutMark } from './textLayout';

export interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** The smallest box around a mark, in page px. */
export function boxOf(mark: Mark): Box {
  if (mark.points) {
    const xs = mark.points.filter((_, i) => i % 2 === 0);
    const ys = mark.points.filter((_, i) => i % 2 === 1);
    const left = Math.min(...xs);
    const top = Math.min(...ys);
    return { x: mark.x + left, y: mark.y + top, w: Math.max(...xs) - left, h: Math.max(...ys) - top };
  }
  const written = mark.kind === 'text' || mark.kind === 'note';
  const h = written ? Math.max(layOutMark(mark).height, mark.kind === 'note' ? (mark.h ?? 0) : 0) : (mark.h ?? 0);
  return { x: mark.x, y: mark.y, w: mark.w ?? 0, h };
}

/** The smallest box around several. */
export function around(boxes: Box[]): Box | null {
  if (boxes.length === 0) return null;
  const x = Math.min(...boxes.map((box) => box.x));
  const y = Math.min(...boxes.map((box) => box.y));
  return {
    x,
    y,
    w: Math.max(...boxes.map((box) => box.x + box.w)) - x,
    h: Math.max(...boxes.map((box) => box.y + box.h)) - y,
  };
}

export const meets = (one: Box, other: Box) =>
  one.x <= other.x + other.w && other.x <= one.x + one.w && one.y <= other.y + other.h && other.y <= one.y + one.h;

/** What changes on a mark when the box around the selection becomes another. */
export function fitted(mark: Mark, from: Box, to: Box): Partial<Mark> {
  const sx = from.w > 0 ? to.w / from.w : 1;
  const sy = from.h > 0 ? to.h / from.h : 1;
  const place = { x: to.x + (mark.x - from.x) * sx, y: to.y + (mark.y - from.y) * sy };
  if (sx === 1 && sy === 1) return place;
  if (mark.points) return { ...place, points: mark.points.map((value, i) => round(value * (i % 2 === 0 ? sx : sy))) };
  if (mark.kind === 'text' || mark.kind === 'note') {
    return { ...place, w: Math.max((mark.w ?? 0) * sx, 40), ...(mark.h === undefined ? {} : { h: mark.h * sy }) };
  }
  return { ...place, w: (mark.w ?? 0) * sx, h: (mark.h ?? 0) * sy };
}

export const round = (value: number) => Math.round(value * 10) / 10;
