import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { StaffStep } from '../../api/shapes';
import { useLive } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';
import type { StaffState } from '../../live/staff';
import { CUE_LIVE } from '../../cues/live';
import { cueName } from '../../cues/kinds';
import { useShortcuts } from '../../parts/hooks/useShortcuts';

interface Props {
  sitting: SittingState;
  staff: StaffState;
  place: PlaceState;
  /** Stream that cues are fired on. */
  stream: string;
  step: StaffStep;
}

/** The cues of the present step, each fired by a click or by Alt and its number. */
export function StepCues({ sitting, staff, place, stream, step }: Props) {
  const live = useLive();
  const cues = step.cues ?? [];
  const fire = (id: string) => void live.do('class.cue', stream, { cue: id });
  useShortcuts(
    Object.fromEntries(
      cues
        .slice(0, 9)
        .map((cue, i) => [`Alt+${i + 1}`, [capital(cueName(cue, staff.boards)), () => fire(cue.id)] as const]),
    ),
  );
  if (cues.length === 0) return null;
  return (
    <Box component="section" aria-label="Cues">
      <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 0.5 }}>Cues</Box>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 0.75 }}>
        {cues.map((cue, i) => (
          <Box component="li" key={cue.id}>
            <Button
              title={`Alt+${i + 1}`}
              onClick={() => fire(cue.id)}
              sx={{ width: 1, justifyContent: 'flex-start', whiteSpace: 'normal', textAlign: 'left' }}
            >
              {capital(cueName(cue, staff.boards))}
              {staff.cued.includes(cue.id) && CUE_LIVE[cue.kind]({ cue, sitting, place, staff })}
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const capital = (words: string) => words[0]!.toUpperCase() + words.slice(1);
