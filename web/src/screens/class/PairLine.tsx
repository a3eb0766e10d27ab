import Button from '@mui/material/Button';
import type { Author } from '../../api/shapes';
import { Line } from '../../parts/frame/Line';
import { inWords } from '../../parts/exchange/audience';
import { firstName } from '../../parts/words/people';

interface Props {
  /** Those who work together; whoever goes first comes first. */
  people: Author[];
  me: string;
  onWrite: (...people: string[]) => void;
}

/** With whom one works in a pair, who goes first, and the way to write to them. */
export function PairLine({ people, me, onWrite }: Props) {
  const others = people.filter(({ id }) => id !== me);
  const names = inWords(others.map(({ name }) => firstName(name)));
  const first = people[0]!;
  return (
    <Line
      label="Your pair"
      marked
      says={
        <>
          You work with <strong>{names}</strong>. {first.id === me ? 'You go' : `${firstName(first.name)} goes`} first.
        </>
      }
    >
      <Button size="small" onClick={() => onWrite(...others.map(({ id }) => id))}>
        Write to {names}
      </Button>
    </Line>
  );
}
