import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { post, type Refused } from '../../api/http';
import type { SeriesAhead, SeriesPart } from '../../api/shapes';
import { useRested } from '../../parts/hooks/useRested';

/** ms for which what was chosen has to stand before it is looked ahead. */
const REST = 250;

export type Wished = Pick<SeriesPart, 'start' | 'zone' | 'minutes' | 'rule' | 'except'>;

/**
 * What a series would come to; `known` says whether that is of what is chosen now.
 * @param series the one that is changed, with whose lessons none of its own clashes
 */
export function useAhead(course: string, part: Wished | null, series?: string) {
  const text = part && JSON.stringify({ ...part, series });
  const rested = useRested(text, REST);
  const ahead = useQuery<SeriesAhead, Refused>({
    queryKey: ['series ahead', course, rested],
    queryFn: () => post<SeriesAhead>(`/api/courses/${course}/series/ahead`, JSON.parse(rested!)),
    enabled: rested !== null,
    placeholderData: keepPreviousData,
    retry: false,
  });
  return {
    ahead: ahead.error ? undefined : ahead.data,
    error: ahead.error,
    known: text === rested && ahead.isSuccess && !ahead.isPlaceholderData,
  };
}
