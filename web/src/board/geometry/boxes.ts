import type { Mark } from '../../api/shapes';
import { FREE_BELOW, PAGE_HEIGHT, PAGE_WIDTH, REACH } from '../../api/contracts';
import type { BoardState, PageFacts } from '../../live/board';
import { layOutMark } from './textLayout';

export interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** The smallest box around a mark before it is turned, in page px. */
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

/** The upright box around a mark as it lies on the page. */
export function boundsOf(mark: Mark): Box {
  const box = boxOf(mark);
  if (!mark.angle) return box;
  const turn = (mark.angle * Math.PI) / 180;
  const w = Math.abs(box.w * Math.cos(turn)) + Math.abs(box.h * Math.sin(turn));
  const h = Math.abs(box.w * Math.sin(turn)) + Math.abs(box.h * Math.cos(turn));
  return { x: box.x + (box.w - w) / 2, y: box.y + (box.h - h) / 2, w, h };
}

/** Where a mark stands, as an SVG transform. */
export function placeOf(mark: Omit<Mark, 'by' | 'at' | 'z'>): string {
  const moved = `translate(${mark.x} ${mark.y})`;
  if (!mark.angle) return moved;
  const box = boxOf(mark as Mark);
  return `${moved} rotate(${mark.angle} ${box.x - mark.x + box.w / 2} ${box.y - mark.y + box.h / 2})`;
}

/** The height of a page in px: slides keep their proportions, growing pages reach below their lowest mark. */
export const heightOf = (board: Pick<BoardState, 'marks' | 'facts'>, page: string): number =>
  heightOfMarks(
    [...board.marks.values()].filter((mark) => mark.page === page),
    board.facts.get(page),
  );

/** As {@link heightOf}, of a page whose marks are known. */
export function heightOfMarks(marks: Mark[], { ground, grows }: PageFacts = {}): number {
  const height = ground ? Math.round((PAGE_WIDTH * ground.h) / ground.w) : PAGE_HEIGHT;
  if (!grows) return height;
  const lowest = marks.reduce((most, mark) => {
    const { y, h } = boundsOf(mark);
    return Math.max(most, y + h);
  }, 0);
  return Math.max(height, Math.min(Math.ceil((lowest + FREE_BELOW) / 100) * 100, REACH));
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
