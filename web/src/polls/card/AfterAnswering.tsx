import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import type { PollResults, Question } from '../../api/shapes';
import { Results } from '../results/Results';

/** ms after which what was answered is asked for anew. */
const EVERY = 8_000;

interface Props {
  sitting: string;
  poll: string;
  question: Question;
  mine: unknown;
}

/** What others have answered, where a poll tells that to those who have. */
export function AfterAnswering({ sitting, poll, question, mine }: Props) {
  const { data } = useQuery({
    queryKey: ['poll-after', sitting, poll, mine],
    queryFn: () => get<PollResults>(`/api/classes/${sitting}/polls/${poll}/results`),
    refetchInterval: EVERY,
    gcTime: 0,
  });
  return data ? <Results {...{ question, tally: data.tally }} tell={false} asTable={false} /> : null;
}
