import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import type { NamedAnswer, Question } from '../../api/shapes';
import { Table } from '../results/TableOf';
import { answerWords } from '../words';

interface Props {
  sitting: string;
  poll: string;
  question: Question;
  round: number;
}

/** For staff: who answered what in a round of a poll with names. */
export function WhoAnswered({ sitting, poll, question, round }: Props) {
  const { data } = useQuery({
    queryKey: ['poll-answers', sitting, poll, round],
    queryFn: () => get<{ people: NamedAnswer[] }>(`/api/classes/${sitting}/polls/${poll}/answers?round=${round}`),
    gcTime: 0,
  });
  if (!data) return null;
  const graded = data.people.some(({ right }) => right !== null);
  return (
    <Table
      head={['name', 'answer', ...(graded ? ['right'] : [])]}
      rows={data.people
        .toSorted((one, other) => one.name.localeCompare(other.name))
        .map(({ name, value, right }) => [
          name,
          answerWords(question, value),
          ...(graded ? [right ? 'yes' : 'no'] : []),
        ])}
    />
  );
}
