import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Author } from '../../api/shapes';
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
    <Box
      component="section"
      aria-label="Your pair"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        columnGap: 1,
        mb: 0.5,
        px: 1,
        minHeight: 36,
        bgcolor: 'veranda.wash',
        borderRadius: 1,
      }}
    >
      <Box role="status" sx={{ flex: 1, minWidth: 180 }}>
        You work with <strong>{names}</strong>. {first.id === me ? 'You go' : `${firstName(first.name)} goes`} first.
      </Box>
      <Button
        size="small"
        onClick={() => onWrite(...others.map(({ id }) => id))}
        sx={{ minHeight: { xs: 44, md: 32 } }}
      >
        Write to {names}
      </Button>
    </Box>
  );
}
