import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import type { SurveyRow } from '../../api/shapes';
import type { PlaceState } from '../../live/place';
import { placeStream } from '../../live/streams';

/**
 * Who may do what in a place and what decides it, as the server has it; asked for anew whenever rules or floor are others.
 * @param person one alone, or everyone who is there
 */
export function useSurvey(sitting: string, at: string, { rules, floor }: PlaceState, person?: string) {
  const { data } = useQuery({
    queryKey: ['rights', placeStream(sitting, at), person, rules, floor],
    queryFn: () =>
      get<{ people: SurveyRow[] }>(
        `/api/classes/${sitting}/places/${at}/rights${person ? `?person=${encodeURIComponent(person)}` : ''}`,
      ),
    placeholderData: keepPreviousData,
    gcTime: 0,
  });
  return data?.people ?? [];
}
