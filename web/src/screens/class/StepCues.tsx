import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Cue, StaffStep } from '../../api/shapes';
import { useLive } from '../../live/hooks';
import { openRound } from '../../live/poll';
import type { PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';
import type { StaffState } from '../../live/staff';
import { CUE_LIVE } from '../../cues/live';
import { cueName } from '../../cues/kinds';
import { StaffCard } from '../../polls/card/StaffCard';
import { SetCard } from '../../polls/card/SetCard';
import { usePollActs, usePolls } from '../../polls/usePolls';
import { useShortcuts } from '../../parts/hooks/useShortcuts';

interface Props {
  sitting: SittingState;
  staff: StaffState;
  place: PlaceState;
  /** Stream that cues are fired on. */
  stream: string;
  step: StaffStep;
  /** The place one is in. */
  at: string;
  /** Looks at what a poll came to. */
  onPoll: (poll: string) => void;
}

/**
 * The cues of the present step, each fired by a click or by Alt and its number. A poll is a card from the beginning: its key opens it, and
 * closes it again.
 */
export function StepCues({ sitting, staff, place, stream, step, at, onPoll }: Props) {
  const live = useLive();
  const polls = usePolls(sitting.id);
  const acts = usePollActs(sitting.id);
  const cues = step.cues ?? [];
  const stateOf = (id: string) => polls.find((poll) => poll.id === id)?.state;
  const fire = ({ id, kind, questions = [] }: Cue) => {
    if (kind === 'set') {
      void (async () => {
        for (const row of questions) await acts.open(row.id, stateOf(row.id));
      })();
      return;
    }
    if (kind !== 'poll') return void live.do('class.cue', stream, { cue: id });
    const state = stateOf(id);
    const open = state && openRound(state);
    if (open) acts.close(id, open, at);
    else void acts.open(id, state);
  };
  useShortcuts(
    Object.fromEntries(
      cues
        .slice(0, 9)
        .map((cue, i) => [`Alt+${i + 1}`, [capital(cueName(cue, staff.boards)), () => fire(cue)] as const]),
    ),
  );
  if (cues.length === 0) return null;
  const refusal = ({ id }: Cue) => staff.refused?.find((row) => row.cue === id)?.says;
  return (
    <Box component="section" aria-label="Cues">
      <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 0.5 }}>Cues</Box>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 0.75 }}>
        {cues.map((cue, i) => (
          <Box component="li" key={cue.id}>
            {cue.kind === 'set' ? (
              <SetCard
                sitting={sitting.id}
                {...{ at, id: cue.id, title: cue.label ?? '' }}
                polls={(cue.questions ?? []).map((row) => row.id)}
                hint={`Alt+${i + 1}`}
                onLook={onPoll}
              />
            ) : cue.kind === 'poll' && cue.question ? (
              <StaffCard
                sitting={sitting.id}
                {...{ at, id: cue.id, question: cue.question }}
                state={stateOf(cue.id)}
                hint={`Alt+${i + 1}`}
                onLook={onPoll}
              />
            ) : (
              <>
                <Button
                  title={`Alt+${i + 1}`}
                  onClick={() => fire(cue)}
                  sx={{ width: 1, justifyContent: 'flex-start', whiteSpace: 'normal', textAlign: 'left' }}
                >
                  {capital(cueName(cue, staff.boards))}
                  {!refusal(cue) && staff.cued.includes(cue.id) && CUE_LIVE[cue.kind]({ cue, sitting, place, staff })}
                </Button>
                <Box role="status" sx={{ fontSize: 13, color: 'error.main', px: 1 }}>
                  {refusal(cue)}
                </Box>
              </>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const capital = (words: string) => words[0]!.toUpperCase() + words.slice(1);
