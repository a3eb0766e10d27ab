import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { post } from '../../api/http';
import type { CalendarLesson, Course } from '../../api/shapes';
import { CourseField } from '../../parts/fields/CourseField';
import { fromField, WhenField } from '../../parts/fields/WhenField';
import { count } from '../../parts/words/times';
import { cityOf } from '../../parts/words/zones';
import { LessonsAhead } from './LessonsAhead';
import { RepeatFields } from './RepeatFields';
import { dayOfWall, ruleOf, type Choice } from './rules';
import { useAhead } from './useAhead';

interface Props {
  /** Those that one teaches. */
  courses: Course[];
  /** Lessons whose run sheet others may begin with. */
  lessons: CalendarLesson[];
  /** Time on the wall that is offered. */
  first: string;
  onDone: (at: number) => void;
  onClose: () => void;
}

/** One lesson, or many by a rule: with their days before one's eyes, and who would be elsewhere. */
export function PlanLessons({ courses, lessons, first, onDone, onClose }: Props) {
  const [course, setCourse] = useState(courses[0]!.id);
  const [title, setTitle] = useState('');
  const [start, setStart] = useState(first);
  const [minutes, setMinutes] = useState('90');
  const [choice, setChoice] = useState<Choice>({ repeat: 'once', days: [dayOfWall(first)], times: 10, rule: '' });
  const [except, setExcept] = useState<string[]>([]);
  const [sheet, setSheet] = useState('');
  const zone = courses.find(({ id }) => id === course)!.zone;
  const length = Number(minutes);
  const sound = fromField(start) !== null && Number.isInteger(length) && length >= 5 && length <= 600;
  const rule = sound ? ruleOf(choice, start) : '';
  const part = sound && rule ? { start, zone, minutes: length, rule, except } : null;
  const { ahead, error, known } = useAhead(course, part);
  const single = choice.repeat === 'once';
  const sheets = lessons.filter(({ course_id }) => course_id === course);
  const make = useMutation({
    mutationFn: () => {
      const named = { course, title: title.trim(), minutes: length, starts_at: ahead!.lessons[0]!.starts_at };
      if (single) return post(sheet ? `/api/lessons/${sheet}/copies` : '/api/lessons', named);
      return post(`/api/courses/${course}/series`, { ...part, title: named.title, sheet: sheet || null });
    },
    onSuccess: () => onDone(ahead!.lessons[0]!.starts_at),
  });
  const startAt = (wall: string) => {
    setStart(wall);
    setExcept([]);
    // A rule for one day of the week follows the first lesson.
    if (fromField(wall) !== null && choice.days.length === 1) setChoice({ ...choice, days: [dayOfWall(wall)] });
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="plan-lessons">
      <DialogContent sx={{ width: 480, maxWidth: 1, display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Box component="h2" id="plan-lessons" sx={{ m: 0, typography: 'h2' }}>
          Plan lessons
        </Box>
        <CourseField courses={courses} course={course} onCourse={setCourse} />
        <TextField
          size="small"
          autoFocus
          label="Title"
          value={title}
          onChange={(event) => setTitle(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 120 } }}
        />
        <Box sx={{ display: 'flex', gap: 1.5 }}>
          <Box sx={{ flex: 1, display: 'grid' }}>
            <WhenField label={`When, by the clocks of ${cityOf(zone)}`} value={start} onValue={startAt} />
          </Box>
          <TextField
            size="small"
            label="Minutes"
            value={minutes}
            error={!(length >= 5 && length <= 600)}
            onChange={(event) => setMinutes(event.target.value.replace(/\D/g, '').slice(0, 3))}
            slotProps={{ htmlInput: { inputMode: 'numeric' } }}
            sx={{ width: 100 }}
          />
        </Box>
        <RepeatFields
          choice={choice}
          onChoice={(next) => {
            setChoice(next);
            setExcept([]);
          }}
        />
        {sheets.length > 0 && (
          <TextField
            select
            size="small"
            label={single ? 'It begins with' : 'Each begins with'}
            value={sheets.some(({ id }) => id === sheet) ? sheet : ''}
            onChange={(event) => setSheet(event.target.value)}
            slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          >
            <MenuItem value="">an empty run sheet</MenuItem>
            {sheets.map(({ id, title: like }) => (
              <MenuItem key={id} value={id}>
                the run sheet and boards of “{like}”
              </MenuItem>
            ))}
          </TextField>
        )}
        {ahead && <LessonsAhead ahead={ahead} except={except} onExcept={setExcept} />}
        {[error, make.error].map(
          (one) =>
            one && (
              <Box key={one.message} role="alert" sx={{ color: 'error.main' }}>
                {one.message}
              </Box>
            ),
        )}
        {ahead && !ahead.ends && (
          <Box role="alert" sx={{ color: 'error.main' }}>
            Say how often, or until when: every lesson of a series is made, so it has to end.
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Not now</Button>
        <Button
          variant="contained"
          color="primary"
          disabled={!title.trim() || !known || !ahead?.ends || ahead.count === 0 || make.isPending}
          onClick={() => make.mutate()}
        >
          {!ahead || ahead.count < 2 ? 'Plan the lesson' : `Plan ${count(ahead.count, 'lesson')}`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
