import cloud from 'd3-cloud';
import type { AnswerGroup } from '../../api/shapes';

export const CLOUD_WIDTH = 640;
export const CLOUD_HEIGHT = 320;
/** px of the smallest and largest words; words that so few wrote stay as small as can be read. */
const [SMALLEST, LARGEST] = [15, 64];
const MOST = 80;

/** A word where it lies, about the middle of the cloud. */
export interface Placed {
  key: string;
  text: string;
  count: number;
  size: number;
  x: number;
  y: number;
}

/**
 * Lays words out as a cloud, the larger the more people wrote them. The same words always lie in the same places.
 *
 * @param done called once they lie
 * @returns what gives it up
 */
export function layOut(groups: AnswerGroup[], done: (words: Placed[]) => void): () => void {
  const most = Math.max(1, ...groups.map(({ count }) => count));
  const words = groups.slice(0, MOST).map(({ key, words: text, count }) => ({
    key,
    text,
    count,
    size: SMALLEST + (LARGEST - SMALLEST) * Math.sqrt((count - 1) / Math.max(most - 1, 1)),
  }));
  const layout = cloud<(typeof words)[number]>()
    .size([CLOUD_WIDTH, CLOUD_HEIGHT])
    .words(words)
    .padding(3)
    .rotate(0)
    .random(() => 0.5)
    .font('Atkinson Hyperlegible Next Variable')
    .fontSize(({ size }) => size!)
    .on('end', (laid) => done(laid as Placed[]));
  layout.start();
  return () => void layout.stop();
}
