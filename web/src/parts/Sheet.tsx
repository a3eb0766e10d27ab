import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Switch from '@mui/material/Switch';
import { FIRST_PAGE } from '../api/contracts';
import { useLive } from '../live/hooks';
import type { Timing } from '../live/protocol';
import { currentStep, type SittingState } from '../live/sitting';
import { firstName } from './people';
import { MaterialAtHand } from './MaterialAtHand';
import { StepCues } from './StepCues';

interface Props {
  sitting: SittingState;
  notes: Record<string, string>;
  timing: Timing | null;
  age: number;
}

/** The instructor's own column: this step's notes, what comes next, and the rules in force. */
export function Sheet({ sitting, notes, timing, age }: Props) {
  const live = useLive();
  const step = currentStep(sitting);
  const index = step ? sitting.steps.indexOf(step) : -1;
  const next = sitting.steps[index + 1];
  const stretch = timing?.stretches.find((candidate) => candidate.step === step?.id);
  const stream = `sitting/${sitting.id}`;
  const go = (id: string) => void live.do('class.move', stream, { step: id });

  return (
    <Box
      component="aside"
      aria-label="Sheet"
      sx={{
        width: 232,
        flex: 'none',
        bgcolor: 'background.paper',
        borderRight: 1,
        borderColor: 'divider',
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
          {stretch && `${Math.floor((stretch.spent + age) / 60_000)} of ${Math.round(stretch.planned / 60_000)} min`}
          {stretch && next && ' · '}
          {next && `next: ${next.title}`}
        </Box>
      </Box>
      {step && notes[step.id] && (
        <Box sx={{ p: 1.25, borderRadius: 1, bgcolor: 'veranda.ochreWash', fontSize: 14, whiteSpace: 'pre-wrap' }}>
          {notes[step.id]}
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
      {timing && timing.squeeze.length > 0 && <Late sitting={sitting} timing={timing} />}
      {step && <StepCues sitting={sitting} step={step} />}
      {step?.material && <MaterialAtHand id={step.material} />}
      <Rules sitting={sitting} />
      <BoardChoice sitting={sitting} />
    </Box>
  );
}

/** When late: which steps to come could give minutes, as the core has worked it out. */
function Late({ sitting, timing }: { sitting: SittingState; timing: Timing }) {
  return (
    <Box component="section" aria-label="Running late" sx={{ fontSize: 14 }}>
      To end in time, take
      {timing.squeeze.map(({ step, less }) => (
        <div key={step}>
          {less} min off {sitting.steps.find(({ id }) => id === step)?.title}
        </div>
      ))}
    </Box>
  );
}

function BoardChoice({ sitting }: { sitting: SittingState }) {
  const live = useLive();
  return (
    <Box>
      <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 0.5 }}>Boards</Box>
      {sitting.boards.map((board) => {
        const shown = sitting.shown?.board === board.id;
        return (
          <Box
            key={board.id}
            component="button"
            aria-pressed={shown}
            onClick={() =>
              void live.do('class.show', `sitting/${sitting.id}`, {
                board: board.id,
                page: board.first_page ?? FIRST_PAGE,
              })
            }
            sx={{
              display: 'block',
              width: 1,
              textAlign: 'left',
              border: 'none',
              borderLeft: '3px solid',
              borderColor: shown ? 'primary.main' : 'transparent',
              bgcolor: shown ? 'veranda.wash' : 'transparent',
              font: 'inherit',
              fontSize: 14,
              color: 'inherit',
              px: 1,
              py: 0.6,
              cursor: 'pointer',
            }}
          >
            {board.name}
          </Box>
        );
      })}
    </Box>
  );
}

/** What students may do now, in words, with the switch for each. */
function Rules({ sitting }: { sitting: SittingState }) {
  const live = useLive();
  const { for_all, exceptions } = sitting.rules;
  const rights = [
    ['draw', 'All may draw', 'Nobody draws'],
    ['post', 'All may post', 'Nobody posts'],
    ['props', 'All use props', 'Nobody uses props'],
  ] as const;
  return (
    <Box component="section" aria-label="House rules">
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>House rules now</Box>
      {rights.map(([right, yes, no]) => {
        const names = exceptions
          .filter((row) => row.right === right)
          .map((row) => firstName(sitting.seats.find((seat) => seat.id === row.person)?.name ?? ''));
        return (
          <Box key={right} sx={{ display: 'flex', alignItems: 'center', fontSize: 14, minHeight: 34 }}>
            <Box sx={{ flex: 1 }}>
              {for_all[right] ? yes : no}
              {names.length > 0 && ` but ${names.join(', ')}`}
            </Box>
            <Switch
              size="small"
              checked={for_all[right] ?? false}
              slotProps={{ input: { 'aria-label': yes } }}
              onChange={(_, allow) => void live.do('class.rule', `sitting/${sitting.id}`, { right, allow })}
            />
          </Box>
        );
      })}
    </Box>
  );
}
