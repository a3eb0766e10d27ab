import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { patch } from '../../api/http';
import type { CalendarLesson, SeriesFacts } from '../../api/shapes';
import { fromField, WhenField } from '../../parts/fields/WhenField';
import { cityOf } from '../../parts/words/zones';
import { LessonsAhead } from './LessonsAhead';
import { RepeatFields } from './RepeatFields';
import { ruleOf } from './rules';
import { saidFrom } from './saidFrom';
import { useAhead } from './useAhead';

interface Props {
  lesson: CalendarLesson;
  series: SeriesFacts;
  onDone: () => void;
  onClose: () => void;
}

/** Changes by which rule the lessons of a series recur: all that were not held, or those from the one that is looked at on. */
export function ChangeSeries({ lesson, series, onDone, onClose }: Props) {
  const [whole, setWhole] = useState(false);
  return (
    <Dialog open onClose={onClose} aria-labelledby="change-series">
      <DialogContent sx={{ width: 480, maxWidth: 1, display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Box component="h2" id="change-series" sx={{ m: 0, typography: 'h2' }}>
          Change the series
        </Box>
        <RadioGroup
          row
          aria-label="Which lessons"
          value={whole ? 'all' : 'from'}
          onChange={(event) => setWhole(event.target.value === 'all')}
        >
          <FormControlLabel value="from" control={<Radio size="small" />} label="From this lesson on" />
          <FormControlLabel value="all" control={<Radio size="small" />} label="All of them" />
        </RadioGroup>
        <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
          Lessons that were held stay as they were, and so do those that somebody moved or named. What was prepared
          stays with the lesson that it is the turn of.
        </Box>
        <Rule
          key={String(whole)}
          lesson={lesson}
          series={series}
          from={whole ? null : lesson.said}
          onDone={onDone}
          onClose={onClose}
        />
      </DialogContent>
    </Dialog>
  );
}

function Rule({ lesson, series, from, onDone, onClose }: Props & { from: string | null }) {
  const said = saidFrom(series, from);
  const [start, setStart] = useState(said.start);
  const [minutes, setMinutes] = useState(String(said.part.minutes));
  const [choice, setChoice] = useState(said.choice);
  const [except, setExcept] = useState(said.except);
  const { zone } = said.part;
  // The days that are left out stay so at another time of day.
  const startAt = (wall: string) => {
    setStart(wall);
    setExcept(except.map((of) => of.slice(0, 11) + wall.slice(11)));
  };
  const length = Number(minutes);
  const sound = fromField(start) !== null && length >= 5 && length <= 600;
  const part = sound ? { start, zone, minutes: length, rule: ruleOf(choice, start), except } : null;
  const { ahead, error, known } = useAhead(lesson.course_id, part, series.id);
  const change = useMutation({
    mutationFn: () => patch(`/api/courses/${lesson.course_id}/series/${series.id}`, { from, set: part }),
    onSuccess: () => onDone(),
  });
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1.5 }}>
        <Box sx={{ flex: 1, display: 'grid' }}>
          <WhenField label={`First one, by the clocks of ${cityOf(zone)}`} value={start} onValue={startAt} />
        </Box>
        <TextField
          size="small"
          label="Minutes"
          value={minutes}
          onChange={(event) => setMinutes(event.target.value.replace(/\D/g, '').slice(0, 3))}
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          sx={{ width: 100 }}
        />
      </Box>
      <RepeatFields choice={choice} onChoice={setChoice} once={false} />
      {ahead && <LessonsAhead ahead={ahead} except={except} onExcept={setExcept} />}
      {[error, change.error].map(
        (one) =>
          one && (
            <Box key={one.message} role="alert" sx={{ color: 'error.main' }}>
              {one.message}
            </Box>
          ),
      )}
      <DialogActions sx={{ p: 0 }}>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          color="primary"
          disabled={!known || !ahead?.ends || ahead.count === 0 || change.isPending}
          onClick={() => change.mutate()}
        >
          Change the series
        </Button>
      </DialogActions>
    </>
  );
}
