import { ARROW_SPREAD, SIGN_LINES, STROKE_CORNER } from '../../api/contracts';

export const pair = (x: number, y: number) => `${Number(x.toFixed(2))} ${Number(y.toFixed(2))}`;

export type Point = readonly [number, number];

const minus = (one: Point, other: Point): Point => [one[0] - other[0], one[1] - other[1]];
const NO_HANDLE: Point = [0, 0];

function isCorner(arriving: Point, leaving: Point): boolean {
  const dot = arriving[0] * leaving[0] + arriving[1] * leaving[1];
  return dot < STROKE_CORNER * Math.hypot(...arriving) * Math.hypot(...leaving);
}

export function handle(before: Point | undefined, point: Point, after: Point | undefined): Point {
  if (!before || !after) return NO_HANDLE;
  const [arriving, leaving, along] = [minus(point, before), minus(after, point), minus(after, before)];
  const shorter = Math.min(Math.hypot(...arriving), Math.hypot(...leaving));
  const length = Math.hypot(...along);
  if (shorter === 0 || length === 0 || isCorner(arriving, leaving)) return NO_HANDLE;
  return [((along[0] / length) * shorter) / 3, ((along[1] / length) * shorter) / 3];
}

/** The path of a stroke, step for step as `Core::Boards::StrokePath` draws it. */
export function strokePath(points: readonly number[]): string {
  const pairs: Point[] = [];
  for (let i = 0; i + 1 < points.length; i += 2) pairs.push([points[i]!, points[i + 1]!]);
  const first = pairs[0];
  if (!first) return '';
  if (pairs.length === 1) return `M${pair(...first)}l0.01 0`;
  if (pairs.length === 2) return `M${pair(...first)}L${pair(...pairs[1]!)}`;
  let path = `M${pair(...first)}`;
  let leaving = NO_HANDLE;
  for (let i = 1; i < pairs.length; i++) {
    const [from, to] = [pairs[i - 1]!, pairs[i]!];
    const next = handle(from, to, pairs[i + 1]);
    path += `C${pair(from[0] + leaving[0], from[1] + leaving[1])} ${pair(to[0] - next[0], to[1] - next[1])} ${pair(...to)}`;
    leaving = next;
  }
  return path;
}

/** The two short lines at the end of an arrow, as `Core::Boards::ArrowHead` draws them. */
export function arrowHead(points: readonly number[], width: number): string {
  const [fromX, fromY] = points.slice(-4) as [number, number];
  const [x, y] = points.slice(-2) as [number, number];
  const angle = Math.atan2(y - fromY, x - fromX);
  const size = 12 + 2.5 * width;
  const tip = (turn: number) => pair(x - size * Math.cos(angle + turn), y - size * Math.sin(angle + turn));
  return `M${tip(-ARROW_SPREAD)} L${pair(x, y)} L${tip(ARROW_SPREAD)}`;
}

/** The beginning of a stroke, for strokes that are shown while they grow. */
export function beginning(points: readonly number[], share: number): number[] {
  const count = points.length / 2;
  const end = Math.max(1, Math.ceil(count * share));
  return points.slice(0, end * 2);
}

/** The path of a small mark, by the lines that the core has for it. */
export function signPath(sign: string, width: number, height: number): string {
  return (SIGN_LINES[sign] ?? [])
    .map((line) => `M${line.map(([x, y]) => pair(x! * width, y! * height)).join('L')}`)
    .join('');
}

export function polygonPath(points: readonly number[]): string {
  const pairs: string[] = [];
  for (let i = 0; i + 1 < points.length; i += 2) pairs.push(`${points[i]} ${points[i + 1]}`);
  return `M${pairs.join('L')}Z`;
}
