import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { StagedPoll } from '../../api/shapes';
import type { PollState } from '../../live/poll';
import { Results } from '../results/Results';
import { lastTwo, usePollLive, useResults } from '../usePolls';
import { Paper } from './Paper';

interface Props {
  sitting: string;
  title: string;
  polls: { poll: StagedPoll; state: PollState }[];
  /** Looks at one of them alone. */
  onLook: (poll: string) => void;
  onLeave: () => void;
}

/** For staff, in place of the board: all polls of a form on one page. */
export function SetPage({ sitting, title, polls, onLook, onLeave }: Props) {
  return (
    <Paper label={`Results: ${title}`}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
        <Box component="h2" dir="auto" sx={{ m: 0, typography: 'h2', flex: 1 }}>
          {title || 'A form'}
        </Box>
        <Button onClick={onLeave}>Back</Button>
      </Box>
      {polls.map(({ poll, state }) => (
        <One key={poll.id} {...{ sitting, poll, state, onLook }} />
      ))}
    </Paper>
  );
}

interface OneProps {
  sitting: string;
  poll: StagedPoll;
  state: PollState;
  onLook: (poll: string) => void;
}

function One({ sitting, poll, state, onLook }: OneProps) {
  const [round] = lastTwo(state);
  const live = usePollLive(sitting, poll.id, state);
  const { data } = useResults(sitting, poll.id, round, undefined, state.rounds.at(-1)?.closed_at);
  const results = live?.round === round && state.rounds.at(-1)?.closed_at === null ? live?.results : data;
  return (
    <Box component="section" aria-label={poll.question.text}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
        <Box component="h3" dir="auto" sx={{ m: 0, typography: 'h3', flex: 1, overflowWrap: 'anywhere' }}>
          {poll.question.text}
        </Box>
        <Button size="small" onClick={() => onLook(poll.id)}>
          Alone
        </Button>
      </Box>
      {results && <Results {...{ question: poll.question, tally: results.tally }} tell asTable={false} />}
    </Box>
  );
}
