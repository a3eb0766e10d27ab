import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { patch } from '../../api/http';
import type { CalendarLesson } from '../../api/shapes';
import { clockTime, count, day as words } from '../../parts/words/times';
import { cityOf, differ, ownZone, wallIn } from '../../parts/words/zones';
import { MoveLesson } from './MoveLesson';
import { ThisSeries } from './ThisSeries';
import { movable, partOf, teaches } from './useCalendar';

/** A lesson that is being put elsewhere, and to where it was dragged. */
export interface Moving {
  lesson: CalendarLesson;
  to?: number;
}

interface Props {
  day: number;
  lessons: CalendarLesson[];
  moving: Moving | null;
  onMoving: (moving: Moving | null) => void;
  /** Something was changed; at what moment the page may go to. */
  onDone: (at?: number) => void;
}

/** What there is on one day, with one's own part in each, and what can be done with it. */
export function DayPanel({ day, lessons, moving, onMoving, onDone }: Props) {
  const taking = lessons.filter(({ cancelled }) => !cancelled);
  return (
    <>
      <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
        {words(day)}
      </Box>
      <Box role="status" sx={{ fontSize: 14, color: 'text.secondary', mb: 1.5 }}>
        {taking.length > 0 ? count(taking.length, 'class', 'classes') : 'A free day.'}
      </Box>
      {moving && !lessons.some(({ id }) => id === moving.lesson.id) && (
        <Mover moving={moving} onMoving={onMoving} onDone={onDone} />
      )}
      {lessons.map((lesson) => (
        <Box key={lesson.id} sx={{ mb: 2 }}>
          <OneLesson lesson={lesson} onMove={() => onMoving({ lesson })} onDone={onDone} />
          {moving?.lesson.id === lesson.id && <Mover moving={moving} onMoving={onMoving} onDone={onDone} />}
          {lesson.series && teaches(lesson) && <ThisSeries lesson={lesson} onDone={onDone} />}
        </Box>
      ))}
    </>
  );
}

function Mover({ moving, onMoving, onDone }: Pick<Props, 'onMoving' | 'onDone'> & { moving: Moving }) {
  const close = () => onMoving(null);
  return (
    <Box sx={{ my: 1.5 }}>
      <MoveLesson
        key={`${moving.lesson.id} ${moving.to}`}
        {...moving}
        onClose={close}
        onDone={() => {
          close();
          onDone();
        }}
      />
    </Box>
  );
}

function OneLesson({ lesson, onMove, onDone }: { lesson: CalendarLesson; onMove: () => void; onDone: () => void }) {
  const ends = lesson.starts_at + lesson.minutes * 60_000;
  const call = useMutation({
    mutationFn: (cancelled: boolean) => patch(`/api/lessons/${lesson.id}`, { version: lesson.version, cancelled }),
    onSuccess: () => onDone(),
  });
  const own = teaches(lesson);
  return (
    <Box
      component="article"
      sx={{
        pl: 1.5,
        py: 0.5,
        borderLeft: own ? '3px solid' : '1px solid',
        borderColor: 'primary.main',
      }}
    >
      <Box sx={{ fontSize: 14 }}>
        <strong>
          {clockTime(lesson.starts_at)} – {clockTime(ends)}
        </strong>{' '}
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {lesson.cancelled ? 'does not take place' : lesson.open ? 'goes on now' : partOf(lesson)}
        </Box>
      </Box>
      <Box
        component="h3"
        sx={{ m: 0, typography: 'h3', textDecoration: lesson.cancelled ? 'line-through' : undefined }}
      >
        {lesson.title}
      </Box>
      <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
        {lesson.course}, {lesson.number} of {Math.max(lesson.of, lesson.number)}
        {!own && lesson.host && ` · taught by ${lesson.host}`}
        {differ(ownZone(), lesson.zone, lesson.starts_at) &&
          ` · ${wallIn(lesson.zone, lesson.starts_at).slice(11)} in ${cityOf(lesson.zone)}`}
      </Box>
      {call.error && (
        <Box role="alert" sx={{ color: 'error.main', fontSize: 14 }}>
          {call.error.message}
        </Box>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mt: 1 }}>
        {lesson.open && (
          <Button component={Link} to={`/lessons/${lesson.id}/class`} variant="contained" color="primary">
            {own ? 'Back to the class' : 'Join the class'}
          </Button>
        )}
        <Button component={Link} to={`/lessons/${lesson.id}`}>
          {own ? 'Open the lesson' : 'Look at the boards'}
        </Button>
        {movable(lesson) && <Button onClick={onMove}>Move it</Button>}
        {own && !lesson.held && (
          <Button disabled={call.isPending} onClick={() => call.mutate(!lesson.cancelled)}>
            {lesson.cancelled ? 'It takes place after all' : 'Call it off'}
          </Button>
        )}
      </Box>
    </Box>
  );
}
