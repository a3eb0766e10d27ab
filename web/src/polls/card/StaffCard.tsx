import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { DISCUSS, POLL_LIMITS } from '../../api/contracts';
import type { PollLive, Question } from '../../api/shapes';
import { useServerNow } from '../../live/hooks';
import { openRound, type PollState } from '../../live/poll';
import { firstName } from '../../parts/words/people';
import { duration } from '../../parts/words/times';
import { lastTwo, usePollActs, usePollLive } from '../usePolls';
import { KIND_WORDS, nameless, percent } from '../words';
import { Card } from './Card';
import { HowMany, Missing } from './Coming';

interface Props {
  sitting: string;
  /** The place one is in. */
  at: string;
  id: string;
  question: Question;
  /** Undefined until it was opened. */
  state: PollState | undefined;
  /** The key that opens and closes it, if one does. */
  hint?: string;
  /** Looks at what it came to. */
  onLook: (poll: string) => void;
}

/** A poll on the sheet: how it stands, who is still missing, and what comes next with it. */
export function StaffCard({ sitting, at, id, question, state, hint, onLook }: Props) {
  const acts = usePollActs(sitting);
  const live = usePollLive(sitting, id, state);
  const open = state && openRound(state);
  const rounds = state?.rounds.length ?? 0;
  const [last, before] = state ? lastTwo(state) : [];
  const again = !open && rounds > 0 && rounds < POLL_LIMITS.rounds!;
  return (
    <Card label={`Poll: ${question.text}`} title={question.text} open={open !== undefined}>
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
        <Standing question={question} state={state} />
      </Box>
      {rounds > 0 && <HowMany done={live?.answered} of={live?.expected} what="answered" />}
      {!open && live && state && <Worth live={live} onTalk={() => void acts.talk(id, state, at)} />}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mt: 0.25, '& button': { minHeight: 30, p: '2px 10px' } }}>
        {open ? (
          <Button variant="contained" color="primary" title={hint} onClick={() => acts.close(id, open, at)}>
            Close
          </Button>
        ) : (
          (rounds === 0 || again) && (
            <Button
              variant={rounds === 0 ? 'contained' : 'outlined'}
              color={rounds === 0 ? 'primary' : 'inherit'}
              title={hint}
              onClick={() => void acts.open(id, state)}
            >
              {rounds === 0 ? 'Open' : `Round ${rounds + 1}`}
            </Button>
          )
        )}
        {last !== undefined && question.results !== 'never' && (
          <Button
            disabled={acts.show.isPending || (!state?.shown && !live?.answered)}
            onClick={() =>
              state?.shown
                ? acts.seal(id)
                : acts.show.mutate({
                    poll: id,
                    round: last,
                    ...(before !== undefined && { since: before }),
                    tell: !open,
                  })
            }
          >
            {state?.shown ? 'Seal it' : 'Show it'}
          </Button>
        )}
        {rounds > 0 && <Button onClick={() => onLook(id)}>Results</Button>}
        {!open && (rounds > 0 || !hint) && <Button onClick={() => acts.putAway(id)}>Put away</Button>}
      </Box>
      {open && live && <Missing>{missingWords(live, question)}</Missing>}
    </Card>
  );
}

/** `round 2 · open 0:48 · no names`, `short answer · not opened yet`. */
function Standing({ question, state }: Pick<Props, 'question' | 'state'>) {
  const now = useServerNow(1_000);
  const open = state && openRound(state);
  const rounds = state?.rounds.length ?? 0;
  const words: (string | null)[] = [
    rounds === 0 ? KIND_WORDS[question.kind] : `round ${rounds}`,
    open
      ? now < open.from
        ? `talking, answers in ${duration(open.from - now)}`
        : open.ends_at
          ? `${duration(open.ends_at - now)} left`
          : `open ${duration(now - open.from)}`
      : rounds > 0
        ? 'closed'
        : 'not opened yet',
    state?.shown ? 'shown to all' : null,
    nameless(question) ? 'no names' : null,
  ];
  return words.filter((word) => word !== null).join(' · ');
}

/** Who has not answered; without names only how many. */
function missingWords(live: PollLive, question: Question): string {
  const left = live.expected - live.answered;
  if (live.expected === 0) return 'nobody is here to answer yet';
  if (left <= 0) return 'all have answered';
  if (nameless(question)) return `not yet: ${left}`;
  const names = live.missing.map(({ name }) => firstName(name)).join(', ');
  return `not yet: ${names}${live.more > 0 ? ` and ${live.more} more` : ''}`;
}

interface WorthProps {
  live: PollLive;
  onTalk: () => void;
}

/** Where about half are right it is worth that people talk it over, see `Core::Polls::Gain`. */
function Worth({ live, onTalk }: WorthProps) {
  const right = live.results.tally.right;
  if (right === null) return null;
  const [least, most] = DISCUSS as [number, number];
  if (right < least || right > most) return <Box sx={{ fontSize: 13 }}>{percent(right)} are right.</Box>;
  return (
    <Box sx={{ fontSize: 13, bgcolor: 'veranda.ochreWash', borderRadius: 1, p: 1, mt: 0.5 }}>
      {percent(right)} are right: worth that pairs talk it over.
      <Button size="small" onClick={onTalk} sx={{ mt: 0.5, whiteSpace: 'normal', textAlign: 'left' }}>
        Pairs talk for 2 min, then round {live.round + 1}
      </Button>
    </Box>
  );
}
