import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import type { HeardRow } from '../../api/shapes';
import { count, duration } from '../../parts/words/times';

/** How often (ms) it is counted anew while one looks. */
export const HEARD_EVERY = 10_000;

/**
 * Who was heard least and longest ago, first, and how evenly a place is heard; undefined until it is counted.
 * @param wanted whether anybody looks
 * @param over whether it is counted in this class, or in all of its course
 */
export function useHeard(sitting: string, at: string, wanted = true, over: 'class' | 'course' = 'class') {
  return useQuery({
    queryKey: ['heard', sitting, at, over],
    queryFn: () =>
      get<{ people: HeardRow[]; gini: number | null }>(
        `/api/classes/${sitting}/places/${at}/heard${over === 'course' ? '?over=course' : ''}`,
      ),
    enabled: wanted,
    refetchInterval: HEARD_EVERY,
    gcTime: 0,
  }).data;
}

function ago(ms: number): string {
  if (ms < 60_000) return 'just now';
  if (ms < 90 * 60_000) return `${Math.floor(ms / 60_000)} min ago`;
  return ms < 36 * 3_600_000 ? `${Math.round(ms / 3_600_000)} hours ago` : `${Math.round(ms / 86_400_000)} days ago`;
}

/** What somebody did so far and when last, in words: `3 min ago · 3 posts, 40 marks`. */
export function heardWords(
  { last, posts, marks, answers, hands, floors, signals, spoken }: HeardRow,
  now: number,
): string {
  if (last === null) return 'nothing yet';
  const parts: [number, string, string?][] = [
    [posts, 'post'],
    [marks, 'mark'],
    [answers, 'answer'],
    [hands, 'hand'],
    [floors, 'time with the floor', 'times with the floor'],
    [signals, 'signal'],
  ];
  const done = parts.filter(([number]) => number > 0).map(([number, one, many]) => count(number, one, many));
  if (spoken >= 1_000) done.unshift(`spoke for ${duration(spoken)}`);
  return `${ago(now - last)} · ${done.join(', ')}`;
}
