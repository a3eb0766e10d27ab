import { ARROW_SPREAD } from '../api/contracts';

const pair = (x: number, y: number) => `${Number(x.toFixed(2))} ${Number(y.toFixed(2))}`;

/** The path of a stroke, step for step as `Core::Boards::StrokePath` draws it. */
export function strokePath(points: readonly number[]): string {
  const count = points.length / 2;
  const at = (i: number): [number, number] => [points[2 * i]!, points[2 * i + 1]!];
  if (count === 1) return `M${pair(...at(0))}l0.01 0`;
  if (count === 2) return `M${pair(...at(0))}L${pair(...at(1))}`;
  let path = `M${pair(...at(0))}`;
  for (let i = 1; i < count - 1; i++) {
    const [x, y] = at(i);
    const [nextX, nextY] = at(i + 1);
    const end: [number, number] = i === count - 2 ? [nextX, nextY] : [(x + nextX) / 2, (y + nextY) / 2];
    path += `Q${pair(x, y)} ${pair(...end)}`;
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
