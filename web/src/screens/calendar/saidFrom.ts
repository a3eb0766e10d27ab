import type { SeriesFacts } from '../../api/shapes';
import { choiceOf } from './rules';

/** What is said of a series from one of its lessons on: the rule that it is by, for as many lessons as are left. */
export function saidFrom(series: SeriesFacts, said: string | null) {
  const start = said ?? series.parts[0]!.start;
  const part = series.parts.findLast(({ from }) => from === null || from <= start)!;
  const except = series.parts.flatMap((one) => one.except).filter((of) => of >= start);
  // Days that are left out are counted by a rule all the same.
  const left = new Set([...series.slots.filter((of) => of >= start), ...except]).size;
  return { part, start, except, choice: choiceOf(part.rule.replace(/COUNT=\d+/, `COUNT=${Math.max(left, 1)}`), start) };
}
