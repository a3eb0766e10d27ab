import { getStroke } from 'perfect-freehand';
import { MOST_SAMPLES, SAMPLE_EVERY } from '../../api/contracts';
import { handle, pair, strokePath, type Point } from './paths';

// As `Core::Boards::StrokeOutline` has them, so that screen and export agree.
const OPTIONS = { thinning: 0.5, smoothing: 0.5, streamline: 0, simulatePressure: false, last: true };

const cubic = (from: number, one: number, two: number, to: number, t: number) => {
  const s = 1 - t;
  return s * s * s * from + 3 * s * s * t * one + 3 * s * t * t * two + t * t * t * to;
};

/** Points along the curve through the stored ones, about 6 px apart, with their pressure. */
function sampled(points: readonly number[], press: readonly number[]): [number, number, number][] {
  const pairs: Point[] = press.map((_, i) => [points[2 * i]!, points[2 * i + 1]!]);
  const handles = pairs.map((_, i) => handle(pairs[i - 1], pairs[i]!, pairs[i + 1]));
  const between = (i: number) => Math.hypot(pairs[i]![0] - pairs[i - 1]![0], pairs[i]![1] - pairs[i - 1]![1]);
  let length = 0;
  for (let i = 1; i < pairs.length; i++) length += between(i);
  // A long stroke is sampled more coarsely, so that none costs more than this.
  const every = Math.max(SAMPLE_EVERY, length / MOST_SAMPLES);
  const samples: [number, number, number][] = [[...pairs[0]!, press[0]!]];
  for (let i = 1; i < pairs.length; i++) {
    const [from, to] = [pairs[i - 1]!, pairs[i]!];
    const [leaving, arriving] = [handles[i - 1]!, handles[i]!];
    const steps = Math.max(Math.ceil(between(i) / every), 1);
    for (let step = 1; step <= steps; step++) {
      const t = step / steps;
      samples.push([
        cubic(from[0], from[0] + leaving[0], to[0] - arriving[0], to[0], t),
        cubic(from[1], from[1] + leaving[1], to[1] - arriving[1], to[1], t),
        press[i - 1]! + (press[i]! - press[i - 1]!) * t,
      ]);
    }
  }
  return samples;
}

/** The outline of a stroke whose pen told its pressure, as a path to be filled. */
export function outlinePath(points: readonly number[], press: readonly number[], width: number): string {
  // What one has changed of a stroke may have left it without a pressure for each point.
  if (press.length * 2 !== points.length) return strokePath(points);
  const outline = getStroke(sampled(points, press), { ...OPTIONS, size: width }) as [number, number][];
  if (outline.length === 0) return '';
  const curves = outline.map((one, i) => {
    const other = outline[(i + 1) % outline.length]!;
    return `Q${pair(...one)} ${pair((one[0] + other[0]) / 2, (one[1] + other[1]) / 2)}`;
  });
  return `M${pair(...outline[0]!)}${curves.join('')}Z`;
}
