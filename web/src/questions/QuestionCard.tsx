import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import type { Asking } from '../api/shapes';
import { useServerNow } from '../live/hooks';
import { MenuWord } from '../parts/fields/MenuWord';
import { firstName } from '../parts/words/people';
import { clockTime } from '../parts/words/times';
import type { useMyQuestions } from './useQuestions';

interface Props {
  question: Asking;
  acts: ReturnType<typeof useMyQuestions>;
  staff: boolean;
  /** Open ones, to which it may be put. */
  others: Asking[];
  /** Whether it is being answered. */
  now?: boolean;
  /** Whether staff alone see it until they let others. */
  toReview?: boolean;
}

/** Others that one may be put to, at most. */
const MOST_OFFERED = 15;

/** One question: who asks it, for how long it has waited, how many ask it too, and what comes next with it. */
export function QuestionCard({ question, acts, staff, others, now = false, toReview = false }: Props) {
  const { id, text, votes, state, answer, answered_at } = question;
  const own = acts.own.includes(id);
  const up = acts.up.includes(id);
  const open = state === 'open';
  return (
    <Box
      component="article"
      aria-label={text}
      sx={{
        p: 1.25,
        borderRadius: 1,
        border: 1,
        borderStyle: toReview ? 'dashed' : 'solid',
        borderColor: now ? 'veranda.ochre' : 'divider',
        bgcolor: now ? 'veranda.ochreWash' : 'background.paper',
      }}
    >
      <Box sx={{ fontSize: 13, color: 'text.secondary', display: 'flex', gap: 1 }}>
        <Box sx={{ flex: 1 }}>
          {now && 'answering now · '}
          {toReview && 'to review · '}
          {own ? 'yours' : question.name ? firstName(question.name) : 'no name'}
          {' · '}
          {answered_at ? `answered ${clockTime(answered_at)}` : <Waited since={question.at} />}
        </Box>
        {votes > 0 && <strong>{votes === 1 ? '1 asks this too' : `${votes} ask this too`}</strong>}
      </Box>
      <Box dir="auto" sx={{ overflowWrap: 'anywhere', whiteSpace: 'pre-wrap' }}>
        {text}
      </Box>
      {answer && (
        <Box dir="auto" sx={{ mt: 0.5, pl: 1, borderLeft: 3, borderColor: 'primary.main', whiteSpace: 'pre-wrap' }}>
          {answer}
        </Box>
      )}
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          gap: 0.5,
          mt: 0.75,
          '&:empty': { display: 'none' },
          '& button': { minHeight: { xs: 44, md: 28 }, p: '2px 8px' },
        }}
      >
        {toReview && (
          <>
            <Button size="small" onClick={() => acts.review(id, true)}>
              Let all see
            </Button>
            <Button size="small" onClick={() => acts.review(id, false)}>
              Keep to staff
            </Button>
          </>
        )}
        {open && !toReview && staff && (
          <>
            <Button size="small" onClick={() => acts.answerNow(now ? null : id)}>
              {now ? 'Later' : 'Answer now'}
            </Button>
            <Button size="small" onClick={() => acts.done(id)}>
              Answered
            </Button>
            {others.length > 1 && (
              <MenuWord label="Same as" hint={`Put “${text.slice(0, 40)}” to one that says the same`}>
                {(close) =>
                  others
                    .filter((other) => other.id !== id)
                    .slice(0, MOST_OFFERED)
                    .map((other) => (
                      <MenuItem key={other.id} onClick={() => close(() => acts.merge(id, other.id))}>
                        {other.text.slice(0, 60)}
                      </MenuItem>
                    ))
                }
              </MenuWord>
            )}
          </>
        )}
        {open && !staff && !own && (
          <Button
            size="small"
            aria-pressed={up}
            aria-label={`I ask this too: ${text.slice(0, 60)}`}
            variant={up ? 'contained' : 'outlined'}
            color={up ? 'primary' : 'inherit'}
            onClick={() => void acts.vote(id, !up)}
          >
            I ask this too
          </Button>
        )}
      </Box>
    </Box>
  );
}

/** `4 min`. */
function Waited({ since }: { since: number }) {
  const minutes = Math.floor((useServerNow(30_000) - since) / 60_000);
  return minutes < 1 ? 'just now' : `${minutes} min`;
}
