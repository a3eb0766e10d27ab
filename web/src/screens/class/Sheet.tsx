import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useConnection, useLive, useServerNow } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import { currentStep, type SittingState } from '../../live/sitting';
import type { StaffState } from '../../live/staff';
import { sittingStream, staffStream } from '../../live/streams';
import { PollsOfSheet } from '../../polls/card/PollsOfSheet';
import { minutesOf } from '../../parts/words/times';
import { CaptionSwitch } from '../../captions/CaptionSwitch';
import { PlaySomething } from '../../clips/PlaySomething';
import { MaterialAtHand } from './MaterialAtHand';
import { AtTheDoors } from './AtTheDoors';
import { BoardChoice } from './BoardChoice';
import { Late } from './Late';
import { Pairs } from './Pairs';
import { RoomsOfSheet } from './rooms/RoomsOfSheet';
import { Rules } from './Rules';
import { StepCues } from './StepCues';

interface Props {
  sitting: SittingState;
  staff: StaffState;
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  /** Id of the lesson. */
  lesson: string;
  onLook: (board: string, page: string) => void;
  /** Looks at everybody's copies of a board; or, null, no more at them. */
  onWall: (board: string | null) => void;
  /** The place one is in. */
  at: string;
  /** Looks at the rooms in place of the board. */
  onRooms: () => void;
  /** Id of the course. */
  course: string;
  /** Looks at what a poll came to, in place of the board. */
  onPoll: (poll: string) => void;
}

/** The instructor's own column: this step's notes, what comes next, and the rules in force. */
export function Sheet({ sitting, staff, place, room, lesson, onLook, onWall, at, onRooms, course, onPoll }: Props) {
  const live = useLive();
  const { timing } = useConnection();
  const step = currentStep(sitting);
  const index = step ? sitting.steps.indexOf(step) : -1;
  const next = sitting.steps[index + 1];
  const stream = sittingStream(sitting.id);
  const planned = staff.steps.find(({ id }) => id === step?.id);
  // What is under way comes before what may be begun.
  // What was dealt, is open, or was made in this step comes before the rules.
  const split = staff.activities.some(({ state, step: of }) => state !== 'closed' || of === (step?.id ?? null));
  const rooms = <RoomsOfSheet {...{ sitting, staff, at, onRooms }} />;
  const go = (id: string) => void live.do('class.move', stream, { step: id });

  return (
    <Box
      component="aside"
      aria-label="Sheet"
      sx={{
        width: 1,
        flex: 'none',
        bgcolor: 'background.paper',
        p: 1.75,
        display: 'flex',
        flexDirection: 'column',
        gap: 1.5,
        overflowY: 'auto',
      }}
    >
      <Box>
        <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
          {step?.title ?? 'Before the first step'}
        </Box>
        <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
          {step && <MinutesSpent step={step.id} />}
          {next && `next: ${next.title}`}
        </Box>
      </Box>
      {planned?.notes && (
        <Box sx={{ p: 1.25, borderRadius: 1, bgcolor: 'veranda.ochreWash', fontSize: 14, whiteSpace: 'pre-wrap' }}>
          {planned.notes}
        </Box>
      )}
      {next && (
        <Button
          variant={step ? 'outlined' : 'contained'}
          color={step ? 'inherit' : 'primary'}
          onClick={() => go(next.id)}
          sx={{ justifyContent: 'flex-start', whiteSpace: 'normal', textAlign: 'left' }}
        >
          {step ? `Go on to ${next.title}` : `Begin with ${next.title}`}
        </Button>
      )}
      {step && (
        <Box sx={{ display: 'flex', gap: 1 }}>
          {[2, 5].map((minutes) => (
            <Button key={minutes} onClick={() => void live.do('class.extend', stream, { minutes })} sx={{ flex: 1 }}>
              +{minutes} min
            </Button>
          ))}
        </Box>
      )}
      {timing?.squeeze && timing.squeeze.length > 0 && <Late sitting={sitting} squeeze={timing.squeeze} />}
      {planned && (
        <StepCues {...{ sitting, staff, place, at, onPoll }} stream={staffStream(sitting.id)} step={planned} />
      )}
      <PollsOfSheet {...{ sitting, staff, at, course }} onLook={onPoll} />
      {split && rooms}
      {planned?.material && <MaterialAtHand id={planned.material} place={place} room={room} />}
      <PlaySomething {...{ place, room, course }} />
      <CaptionSwitch />
      {(staff.waiting.length > 0 || staff.removed.length > 0) && <AtTheDoors sitting={sitting.id} staff={staff} open />}
      <Rules sitting={sitting} place={place} room={room} />
      {!split && rooms}
      <Pairs {...{ sitting, staff, place, room }} />
      <BoardChoice {...{ sitting, staff, place, room, lesson, onLook, onWall }} />
      {staff.waiting.length === 0 && staff.removed.length === 0 && (
        <AtTheDoors sitting={sitting.id} staff={staff} open />
      )}
    </Box>
  );
}

/** ms before the end of a step from which on it is said. */
const NUDGE = 75_000;

/** How long the class has been at a step, and that its time is nearly over. */
function MinutesSpent({ step }: { step: string }) {
  const { timing } = useConnection();
  const now = useServerNow(5_000);
  const stretch = timing?.stretches.find((candidate) => candidate.step === step);
  if (!stretch) return null;
  const age = Math.max(now - timing!.at, 0);
  const left = stretch.planned - stretch.spent - age;
  return (
    <>
      {minutesOf(stretch, age)} · {/* Quiet: it is the instructor who decides when a step is over. */}
      {left < NUDGE && (
        <Box component="strong" role="status" sx={{ color: 'text.primary' }}>
          {left > 0 ? 'about a minute left' : 'its time is over'} ·{' '}
        </Box>
      )}
    </>
  );
}
