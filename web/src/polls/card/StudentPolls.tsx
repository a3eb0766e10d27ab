import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { lazy, Suspense, useRef, useState, type ReactNode } from 'react';
import { useServerNow } from '../../live/hooks';
import { openRound } from '../../live/poll';
import { useShortcuts } from '../../parts/hooks/useShortcuts';
import { duration } from '../../parts/words/times';
import { Picture } from '../answering/Picture';
import { useMyAnswers, usePolls, type Poll } from '../usePolls';
import { answerWords, termsOf } from '../words';

// Fetched when the first poll opens.
const Answering = lazy(() => import('../answering/Answering').then(({ Answering }) => ({ default: Answering })));
const AfterAnswering = lazy(() =>
  import('./AfterAnswering').then(({ AfterAnswering }) => ({ default: AfterAnswering })),
);

interface Props {
  sitting: string;
  /** Whether it has a sheet of its own, as on a phone, and not the upper part of the exchange. */
  alone?: boolean;
}

/** Polls that were put to one, open ones first; those that were closed tell what one has answered. */
export function StudentPolls({ sitting, alone = false }: Props) {
  const polls = usePolls(sitting);
  const { mine, give } = useMyAnswers(sitting, polls);
  const open = polls.filter(({ state }) => openRound(state));
  const closed = polls.filter(({ state }) => !openRound(state) && state.rounds.length > 0).slice(-3);
  const section = useRef<HTMLElement>(null);
  useShortcuts(
    open.length > 0
      ? {
          a: [
            'Answer the poll that is open',
            () => section.current?.querySelector<HTMLElement>('form input, form button, form [tabindex]')?.focus(),
          ],
        }
      : {},
  );
  if (!alone && open.length + closed.length === 0) return null;
  return (
    <Box
      ref={section}
      component="section"
      aria-label="Polls"
      sx={{
        px: 1.75,
        py: 1.25,
        ...(alone ? { flex: 1 } : { borderBottom: 1, borderColor: 'divider', maxHeight: '72%' }),
        overflowY: 'auto',
        display: 'flex',
        flexDirection: 'column',
        gap: 1.25,
      }}
    >
      {alone && (
        <Box component="h2" sx={{ m: 0, typography: 'h2', pr: 13 }}>
          {open.length > 0 ? 'Asked' : 'No poll is open'}
        </Box>
      )}
      {formsOf(open).map((form) => (
        <Form
          key={form.id}
          form={form}
          answered={(poll) => mine(poll.id, openRound(poll.state)!.round) !== undefined}
          card={(poll) => {
            const round = openRound(poll.state)!.round;
            return (
              <OpenCard
                key={`${poll.id} ${round}`}
                {...{ sitting, poll }}
                mine={mine(poll.id, round)}
                onGive={(value) => give(poll, round, value)}
              />
            );
          }}
        />
      ))}
      {closed.map((poll) => (
        <ClosedLine key={poll.id} poll={poll} mine={mine(poll.id, poll.state.rounds.at(-1)!.round)} />
      ))}
    </Box>
  );
}

interface FormFacts {
  id: string;
  title: string | null;
  polls: Poll[];
}

/** Polls that are open, those of a set together. */
function formsOf(polls: Poll[]): FormFacts[] {
  const forms = new Map<string, FormFacts>();
  for (const poll of polls) {
    const { set } = poll.state;
    const id = set ? `set ${set.id}` : poll.id;
    const form = forms.get(id) ?? { id, title: set?.title ?? null, polls: [] };
    forms.set(id, { ...form, polls: [...form.polls, poll] });
  }
  return [...forms.values()];
}

interface FormProps {
  form: FormFacts;
  answered: (poll: Poll) => boolean;
  card: (poll: Poll) => ReactNode;
}

/** A form of several polls, taken one after the other at one's own pace; or one poll alone. */
function Form({ form: { title, polls }, answered, card }: FormProps) {
  const [wanted, setWanted] = useState<number | null>(null);
  if (title === null) return card(polls[0]!);
  const at = Math.min(wanted ?? 0, polls.length - 1);
  const done = polls.filter(answered).length;
  return (
    <Box component="section" aria-label={title} sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Box sx={{ flex: 1 }}>
          <strong dir="auto">{title}</strong>
          <Box role="status" sx={{ fontSize: 13, color: 'text.secondary' }}>
            {at + 1} of {polls.length} · {done === polls.length ? 'all answered' : `${done} answered`}
          </Box>
        </Box>
        <Button size="small" disabled={at === 0} onClick={() => setWanted(at - 1)}>
          Before
        </Button>
        <Button size="small" disabled={at === polls.length - 1} onClick={() => setWanted(at + 1)}>
          Next
        </Button>
      </Box>
      {card(polls[at]!)}
    </Box>
  );
}

interface OpenProps {
  sitting: string;
  poll: Poll;
  mine: unknown;
  onGive: (value: unknown) => Promise<string | null>;
}

function OpenCard({ sitting, poll: { id, state }, mine, onGive }: OpenProps) {
  const { question } = state;
  const { from, ends_at, round } = openRound(state)!;
  const now = useServerNow(1_000);
  return (
    <Box
      component="section"
      aria-label={question.text}
      sx={{
        p: 1.5,
        borderRadius: 1,
        border: 2,
        borderColor: 'primary.main',
        display: 'flex',
        flexDirection: 'column',
        gap: 1,
      }}
    >
      <Box>
        <Box component="h3" dir="auto" sx={{ m: 0, typography: 'h3', overflowWrap: 'anywhere' }}>
          {question.text}
        </Box>
        <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
          {[round > 1 ? `round ${round}` : null, ...termsOf(question)].filter((words) => words !== null).join(' · ')}
        </Box>
      </Box>
      {question.picture && question.kind !== 'spot' && <Picture of={question.picture} alt="" />}
      {now < from ? (
        <Box role="status">
          Talk it over first. Answers are taken in <strong>{duration(from - now)}</strong>.
        </Box>
      ) : (
        <>
          {ends_at && (
            <Box sx={{ fontSize: 14 }}>
              <strong>{duration(ends_at - now)}</strong> left
            </Box>
          )}
          <Suspense fallback={null}>
            <Answering key={round} name={`${sitting}.${id} ${round}`} {...{ question, mine, onGive }} />
          </Suspense>
        </>
      )}
      {question.results === 'after' && mine !== undefined && (
        <Suspense fallback={null}>
          <AfterAnswering {...{ sitting, poll: id, question, mine }} />
        </Suspense>
      )}
    </Box>
  );
}

function ClosedLine({ poll: { state }, mine }: { poll: Poll; mine: unknown }) {
  return (
    <Box sx={{ fontSize: 14 }}>
      <Box component="span" dir="auto" sx={{ fontWeight: 650 }}>
        {state.question.text}
      </Box>{' '}
      <Box component="span" sx={{ color: 'text.secondary' }}>
        closed
        {mine !== undefined && `. You answered: ${answerWords(state.question, mine)}`}
      </Box>
    </Box>
  );
}
