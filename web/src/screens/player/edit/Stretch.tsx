import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { RecordingEdits } from '../../../api/shapes';
import { clockTime } from '../../../parts/words/times';
import type { Recorder } from '../Recorder';
import { onTheDay } from './onTheDay';
import { snapped } from './snapped';
import type { Edit } from './useEdits';

interface Props {
  edits: RecordingEdits;
  recorder: Recorder;
  busy: boolean;
  edit: (edit: Edit) => void;
  /** The stretch as it stands in the fields. */
  times: Times;
  onTimes: (times: Times) => void;
  /** Where a cut is heard least, and where something begins. */
  points: number[];
}

export interface Times {
  from: string;
  to: string;
}

const ENDS = [
  ['from', 'From'],
  ['to', 'To'],
] as const;

/** Chooses a stretch of the class by the time of day, or by where one is, and says what becomes of it. */
export function Stretch({ edits, recorder, busy, edit, times, onTimes, points }: Props) {
  const from = onTheDay(times.from, edits);
  const to = onTheDay(times.to, edits);
  const whole = from !== null && to !== null;
  const set = (end: 'from' | 'to', time: string) => onTimes({ ...times, [end]: time });
  const act = (kind: 'cut' | 'blank' | 'add_stretch') => {
    if (whole) edit([kind, { id: crypto.randomUUID(), from, to }]);
  };
  return (
    <Box component="section" aria-label="A stretch of the class">
      <h3>A stretch</h3>
      {ENDS.map(([end, label]) => (
        <Box key={end} sx={{ display: 'flex', gap: 1, alignItems: 'center', mb: 1.5 }}>
          <TextField
            size="small"
            label={label}
            value={times[end]}
            onChange={(event) => set(end, event.target.value)}
            placeholder="18:30:00"
            error={times[end] !== '' && onTheDay(times[end], edits) === null}
            slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 8 }, inputLabel: { shrink: true } }}
            sx={{ flex: 1 }}
          />
          <Button size="small" onClick={() => set(end, clockTime(snapped(recorder.wall, points), true))}>
            Here
          </Button>
          <Button
            size="small"
            onClick={() => set(end, clockTime(end === 'from' ? edits.from : edits.to + 1_000, true))}
          >
            {end === 'from' ? 'Start' : 'End'}
          </Button>
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="contained" color="primary" disabled={!whole || busy} onClick={() => act('cut')}>
          Cut it out
        </Button>
        <Button disabled={!whole || busy} onClick={() => act('blank')}>
          Hide what was written
        </Button>
        <Button disabled={!whole || busy} onClick={() => act('add_stretch')}>
          Add it
        </Button>
      </Box>
      <Box sx={{ color: 'text.secondary', fontSize: 13, mt: 0.75 }}>
        What was drawn while it is cut stays on the boards. What is added has boards and posts; sound was not recorded.
      </Box>
    </Box>
  );
}
