import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { SeriesAhead } from '../../api/shapes';
import { count } from '../../parts/words/times';
import { whoClashes } from './clashes';

interface Props {
  ahead: SeriesAhead;
  except: string[];
  onExcept: (except: string[]) => void;
}

const form = new Intl.DateTimeFormat('en-GB', {
  timeZone: 'UTC',
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
});

/** The lessons that a rule comes to, by the clocks of the course; each can be left out. */
export function LessonsAhead({ ahead, except, onExcept }: Props) {
  const clashing = new Map(ahead.clashing.map((one) => [one.of, one]));
  const set = (of: string, held: boolean) => onExcept(held ? except.filter((one) => one !== of) : [...except, of]);
  return (
    <Box sx={{ border: 1, borderColor: 'divider', borderRadius: 1, p: 1.25 }}>
      <Box role="status" sx={{ fontWeight: 650, '&::first-letter': { textTransform: 'uppercase' } }}>
        {ahead.words}
      </Box>
      <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
        {[
          count(ahead.count, 'lesson'),
          ahead.past > 0 && `${ahead.past} in the past`,
          ahead.clashing.length > 0 && `${count(ahead.clashing.length, 'day')} with a clash`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Box>
      <Box
        component="ul"
        aria-label="Lessons"
        sx={{ listStyle: 'none', m: 0, mt: 0.5, p: 0, maxHeight: 210, overflowY: 'auto' }}
      >
        {ahead.lessons.map(({ of }) => (
          <Box key={of} component="li" sx={{ fontSize: 14 }}>
            <FormControlLabel
              control={<Checkbox size="small" checked={!except.includes(of)} onChange={(_, held) => set(of, held)} />}
              label={`${form.format(new Date(`${of}Z`))}, ${of.slice(11)}`}
              slotProps={{ typography: { sx: { fontSize: 14 } } }}
            />
            {clashing.has(of) && (
              <Box sx={{ ml: 4, mt: -0.5, mb: 0.5, color: 'error.main' }}>
                {whoClashes(clashing.get(of)!).join(' ')}
              </Box>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
