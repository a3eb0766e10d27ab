import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useLive } from '../live/hooks';
import type { SittingState, SittingStep } from '../live/sitting';
import { cueName } from './cues';
import { useShortcuts } from './useShortcuts';

/** The cues of the present step, each fired by a click or by Alt and its number. */
export function StepCues({ sitting, step }: { sitting: SittingState; step: SittingStep }) {
  const live = useLive();
  const cues = step.cues ?? [];
  const fire = (id: string) => void live.do('class.cue', `sitting/${sitting.id}`, { cue: id });
  useShortcuts(Object.fromEntries(cues.slice(0, 9).map((cue, i) => [`Alt+${i + 1}`, () => fire(cue.id)])));
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
              {capital(cueName(cue, sitting.boards))}
              {sitting.cued.includes(cue.id) && (
                <Box component="span" sx={{ ml: 'auto', fontWeight: 400 }}>
                  done
                </Box>
              )}
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const capital = (words: string) => words[0]!.toUpperCase() + words.slice(1);
