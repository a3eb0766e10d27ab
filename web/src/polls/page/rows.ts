import type { Question, Tally } from '../../api/shapes';
import { plain } from '../results/Histogram';
import { optionsOf } from '../words';

/** An answer in words, and how often it was given. */
export interface Row {
  words: string;
  count: number;
}

/** @returns what a poll came to, a row for each answer; the core has the same (`Polls::ShownResults`) */
export function rowsOf(question: Question, tally: Tally): Row[] {
  const text = new Map(optionsOf(question).map((option) => [option.id, option.text]));
  if (tally.options) return tally.options.map(({ id, count }) => ({ words: text.get(id) ?? id, count }));
  if (tally.places)
    return tally.places.map(({ option, points }) => ({
      words: `${text.get(option) ?? option} (points)`,
      count: points,
    }));
  if (tally.groups) return tally.groups.map(({ words, count }) => ({ words, count }));
  if (tally.points) return tally.points.map(({ point, count }) => ({ words: String(point), count }));
  if (tally.bins) return tally.bins.map(({ from, to, count }) => ({ words: between(from, to), count }));
  return [];
}

const between = (from: number, to: number) => (from === to ? plain(from) : `${plain(from)} to ${plain(to)}`);
