import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import type { DeskLesson } from '../../api/shapes';
import { clockTime, count } from '../../parts/words/times';
import { Rehearse } from '../lesson/Rehearse';

export function ClassCard({ lesson, first }: { lesson: DeskLesson; first: boolean }) {
  const staff = lesson.to_mend !== undefined;
  const ends = lesson.starts_at + lesson.minutes * 60_000;
  return (
    <Box
      component="article"
      sx={{
        display: 'flex',
        flexDirection: { xs: 'column', sm: 'row' },
        gap: 2,
        p: 2,
        pt: 1.75,
        bgcolor: 'background.paper',
        border: 1,
        borderColor: first ? 'primary.main' : 'divider',
        borderRadius: 1.25,
      }}
    >
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
          {clockTime(lesson.starts_at)}–{clockTime(ends)} ·{' '}
          {staff ? <Link to={`/courses/${lesson.course_id}`}>{lesson.course}</Link> : lesson.course}
          {staff ? `, evening ${lesson.number}` : ' · you are a student'}
        </Box>
        <Box
          component="h3"
          sx={{
            m: 0,
            typography: 'h1',
            fontSize: first ? 21 : 18,
            textDecoration: lesson.cancelled ? 'line-through' : undefined,
          }}
        >
          {lesson.title}
        </Box>
        {staff && lesson.steps!.length > 0 && <Minutes lesson={lesson} />}
        {staff ? (
          <Ready lesson={lesson} />
        ) : (
          <Box sx={{ fontSize: 14, color: 'text.secondary', mt: 0.5 }}>taught by {lesson.host}</Box>
        )}
      </Box>
      <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1, width: { xs: 1, sm: 160 }, flex: 'none' }}>
        <Go lesson={lesson} first={first} />
        <Button component={Link} to={`/lessons/${lesson.id}`}>
          {staff ? 'Open the lesson' : 'Look at the boards'}
        </Button>
        {staff && lesson.class?.status !== 'open' && <Rehearse lesson={lesson.id} />}
      </Box>
    </Box>
  );
}

/** The one button that fits where the class stands. */
function Go({ lesson, first }: { lesson: DeskLesson; first: boolean }) {
  const staff = lesson.to_mend !== undefined;
  const status = lesson.class?.status;
  if (lesson.cancelled) return <Button disabled>Called off</Button>;
  if (status === 'ended') {
    const watchable = lesson.class!.recorded && (staff || lesson.class!.shared);
    return watchable ? (
      <Button component={Link} to={`/recordings/${lesson.class!.id}`}>
        Watch the recording
      </Button>
    ) : (
      <Button disabled>Class has ended</Button>
    );
  }
  const words =
    status === 'open'
      ? staff
        ? 'Back to the class'
        : 'Join the class'
      : staff
        ? 'Go to the doors'
        : 'Wait at the doors';
  return (
    <Button
      component={Link}
      to={`/lessons/${lesson.id}/class`}
      variant={first ? 'contained' : 'outlined'}
      color={first ? 'primary' : 'inherit'}
    >
      {words}
    </Button>
  );
}

function Minutes({ lesson }: { lesson: DeskLesson }) {
  return (
    <Box
      aria-hidden
      sx={{
        display: 'flex',
        height: 14,
        maxWidth: 430,
        mt: 1,
        border: 1,
        borderColor: 'divider',
        borderRadius: 0.5,
        overflow: 'hidden',
      }}
    >
      {lesson.steps!.map((step, i) => (
        <Box
          key={i}
          title={step.title}
          sx={{
            flex: step.minutes,
            borderRight: 1,
            borderColor: 'divider',
            '&:last-child': { border: 0 },
            bgcolor: i % 2 ? 'transparent' : 'background.default',
          }}
        />
      ))}
    </Box>
  );
}

function Ready({ lesson }: { lesson: DeskLesson }) {
  const mend = lesson.to_mend!;
  const ready = mend.length === 0;
  if (lesson.class?.status === 'ended') return <Box sx={{ fontSize: 14, mt: 1 }}>Held.</Box>;
  return (
    <Box sx={{ fontSize: 14, mt: 1 }}>
      <Box component="strong" sx={{ color: ready ? 'primary.main' : 'error.main' }}>
        {ready ? 'Ready.' : `${count(mend.length, 'thing')} to mend.`}
      </Box>{' '}
      {ready
        ? `${count(lesson.steps!.length, 'step')}, ${count(lesson.boards!, 'board')}. ${
            lesson.record_from ? `Recording starts with ${lesson.record_from}.` : 'Recording is started by hand.'
          }`
        : mend[0]!.says}
    </Box>
  );
}
