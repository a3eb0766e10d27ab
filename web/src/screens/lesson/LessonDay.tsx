import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import type { LessonFacts } from '../../api/shapes';
import { clockTime, day } from '../../parts/words/times';
import { cityOf, differ, ownZone, wallIn } from '../../parts/words/zones';
import { nameOfDay } from '../calendar/days';
import { MoveLesson } from '../calendar/MoveLesson';
import { edits, type Edit } from './planEdits';

/** When a lesson is and how long; it can be put elsewhere until it is held. */
export function LessonDay({
  lesson,
  seen,
  onEdit,
}: {
  lesson: LessonFacts;
  seen: number;
  onEdit: (edit: Edit) => void;
}) {
  const [moving, setMoving] = useState(false);
  const { starts_at, minutes, zone } = lesson;
  const ends = starts_at + minutes * 60_000;
  if (moving)
    return (
      <MoveLesson
        lesson={{ ...lesson, version: seen }}
        onMove={(set) => onEdit(edits.set(set))}
        onClose={() => setMoving(false)}
        onDone={() => setMoving(false)}
      />
    );
  return (
    <Box>
      <Box sx={{ fontWeight: 650, textDecoration: lesson.cancelled ? 'line-through' : undefined }}>
        <Link to={`/calendar?day=${nameOfDay(starts_at)}`}>{day(starts_at)}</Link>, {clockTime(starts_at)} –{' '}
        {clockTime(ends)}
      </Box>
      <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
        {minutes} minutes
        {differ(ownZone(), zone, starts_at) && ` · ${wallIn(zone, starts_at).slice(11)} in ${cityOf(zone)}`}
        {lesson.held && ' · held, and keeps its day'}
        {lesson.cancelled && ' · does not take place'}
      </Box>
      {!lesson.held && (
        <Button sx={{ mt: 1 }} onClick={() => setMoving(true)}>
          Move it
        </Button>
      )}
    </Box>
  );
}
