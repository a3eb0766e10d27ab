import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import type { SetProgress } from '../../api/shapes';
import { openRound } from '../../live/poll';
import { firstName } from '../../parts/words/people';
import { count } from '../../parts/words/times';
import { usePollActs, usePolls } from '../usePolls';
import { Card } from './Card';
import { HowMany, Missing } from './Coming';

interface Props {
  sitting: string;
  /** The place one is in. */
  at: string;
  id: string;
  title: string;
  /** Ids of its polls. */
  polls: string[];
  hint?: string;
  /** Looks at what it came to. */
  onLook: (set: string) => void;
}

/** ms after which it is asked anew how far people have come. */
const EVERY = 3_000;
/** People who are named as not done yet. */
const MOST_NAMED = 6;

/** Several polls as one form, on the sheet: opened and closed together, and how far each person has come. */
export function SetCard({ sitting, at, id, title, polls: ids, hint, onLook }: Props) {
  const all = usePolls(sitting);
  const acts = usePollActs(sitting);
  const states = ids.map((poll) => all.find((one) => one.id === poll)?.state);
  const open = states.some((state) => state && openRound(state));
  const begun = states.some((state) => state && state.rounds.length > 0);
  const { data } = useQuery({
    queryKey: ['set', sitting, id],
    queryFn: () => get<SetProgress>(`/api/classes/${sitting}/sets/${id}`),
    refetchInterval: open ? EVERY : false,
    enabled: begun,
    gcTime: 0,
  });
  // One after the other, so that they come in their order.
  const openAll = async () => {
    for (const [i, poll] of ids.entries()) await acts.open(poll, states[i]);
  };
  const closeAll = () =>
    ids.forEach((poll, i) => {
      const round = states[i] && openRound(states[i]);
      if (round) acts.close(poll, round, at);
    });
  const behind = (data?.people ?? []).filter(({ answered }) => answered < ids.length);
  const done = (data?.people.length ?? 0) - behind.length;
  return (
    <Card label={`Form: ${title}`} title={title || 'A form'} open={open}>
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
        {count(ids.length, 'poll')} as one form · {open ? 'open' : begun ? 'closed' : 'not opened yet'}
      </Box>
      {begun && data?.people.length !== 0 && (
        <HowMany done={data && done} of={data?.people.length} what="are through" />
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, '& button': { minHeight: 30, p: '2px 10px' } }}>
        {open ? (
          <Button variant="contained" color="primary" title={hint} onClick={closeAll}>
            Close
          </Button>
        ) : (
          <Button
            variant={begun ? 'outlined' : 'contained'}
            color={begun ? 'inherit' : 'primary'}
            title={hint}
            onClick={() => void openAll()}
          >
            {begun ? 'Open again' : 'Open'}
          </Button>
        )}
        {begun && <Button onClick={() => onLook(id)}>Results</Button>}
      </Box>
      {begun && behind.length > 0 && (
        <Missing>
          {behind
            .slice(0, MOST_NAMED)
            .map(({ name, answered }) => `${firstName(name)} ${answered}`)
            .join(', ')}
          {behind.length > MOST_NAMED && ` and ${behind.length - MOST_NAMED} more`}
        </Missing>
      )}
    </Card>
  );
}
