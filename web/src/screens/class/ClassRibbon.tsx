import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { You } from '../../api/shapes';
import { useConnection, useLive, useServerNow } from '../../live/hooks';
import { currentStep, isRecording, present, type SittingState } from '../../live/sitting';
import { sittingStream } from '../../live/streams';
import { Lantern } from '../../parts/frame/Lantern';
import { Ribbon } from '../../parts/frame/Ribbon';
import { clockTime, drift, duration, minutesOf } from '../../parts/words/times';
import { EndClass, Leave } from './leaving';
import { RunStrip } from './RunStrip';
import { useComingAndGoing } from './useComingAndGoing';

interface Props {
  sitting: SittingState;
  you: You;
  rehearsal: boolean;
}

/** How often (ms) the strip moves on: a step is minutes long. */
const STRIP_EVERY = 5_000;

/** Who comes and goes takes no room from the strip. */
const PASSING = {
  display: 'inline-block',
  maxWidth: { xs: '75%', md: 180 },
  overflow: 'hidden',
  textOverflow: 'ellipsis',
  verticalAlign: 'bottom',
};

/** What concerns the whole class: where it is in its plan, the time, the recording, and the way out. Each part keeps its own time. */
export function ClassRibbon({ sitting, you, rehearsal }: Props) {
  const here = `${present(sitting).length} here`;
  const passing = useComingAndGoing(sitting, you.id);
  return (
    <Ribbon
      title={sitting.title}
      under={
        <>
          <Box component="span" aria-live="polite" title={passing ?? undefined} sx={PASSING}>
            {passing}
          </Box>
          {passing ? ` · ${here}` : `${rehearsal ? 'Rehearsal' : sitting.course} · ${here}`}
        </>
      }
      end={you.staff ? <EndClass sitting={sitting} /> : <Leave />}
    >
      <Strip sitting={sitting.id} staff={you.staff} />
      <StepInWords sitting={sitting} />
      <TimeOfDay />
      <Recording sitting={sitting} staff={you.staff} />
    </Ribbon>
  );
}

function Strip({ sitting, staff }: { sitting: string; staff: boolean }) {
  const live = useLive();
  const now = useServerNow(STRIP_EVERY);
  const { timing } = useConnection();
  if (!timing) return null;
  return (
    <RunStrip
      timing={timing}
      age={Math.max(now - timing.at, 0)}
      onStep={staff ? (id) => void live.do('class.move', sittingStream(sitting), { step: id }) : undefined}
    />
  );
}

function TimeOfDay() {
  const now = useServerNow(STRIP_EVERY);
  const { timing } = useConnection();
  return (
    <Box sx={{ textAlign: 'right', lineHeight: 1.25, whiteSpace: 'nowrap' }}>
      <Box sx={{ fontWeight: 700 }}>{clockTime(now)}</Box>
      {timing && (
        <Box
          sx={{
            display: { xs: 'none', sm: 'block' },
            fontSize: 13,
            color: timing.drift > 60_000 ? 'error.main' : 'text.secondary',
          }}
        >
          {drift(timing.projected_end, timing.drift)}
        </Box>
      )}
    </Box>
  );
}

/** Where there is no room for the strip: the step the class is at, and how far into it. */
function StepInWords({ sitting }: { sitting: SittingState }) {
  const now = useServerNow(STRIP_EVERY);
  const { timing } = useConnection();
  const step = currentStep(sitting);
  const stretch = timing?.stretches.find((one) => one.step === step?.id);
  if (!step) return <Box sx={{ display: { md: 'none' }, flex: 1 }} />;
  return (
    <Box sx={{ display: { xs: 'block', md: 'none' }, flex: 1, minWidth: 0, lineHeight: 1.25 }}>
      <Box sx={{ fontWeight: 700, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
        {step.title}
      </Box>
      {stretch && (
        <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{minutesOf(stretch, Math.max(now - timing!.at, 0))}</Box>
      )}
    </Box>
  );
}

function Recording({ sitting, staff }: { sitting: SittingState; staff: boolean }) {
  const live = useLive();
  const running = isRecording(sitting);
  const lantern = <Lantern running={running} recorded={<Recorded stretches={sitting.stretches} />} />;
  if (!staff) return lantern;
  return (
    <Button
      title={running ? 'Stop recording' : 'Start recording'}
      onClick={() => void live.do('class.record', sittingStream(sitting.id), { on: !running })}
      sx={{ px: 1, border: 'none', bgcolor: 'transparent', textAlign: 'left' }}
    >
      {lantern}
    </Button>
  );
}

/** How much is recorded so far. */
function Recorded({ stretches }: Pick<SittingState, 'stretches'>) {
  const now = useServerNow();
  const recorded = stretches.reduce((sum, { from, to }) => sum + Math.max((to ?? now) - from, 0), 0);
  return recorded > 0 && duration(recorded);
}
