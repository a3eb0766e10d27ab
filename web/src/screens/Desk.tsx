import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { get } from '../api/http';
import type { DeskFacts, DeskLesson } from '../api/shapes';
import { Shell } from '../parts/frame/Shell';
import { Waiting } from '../parts/frame/Waiting';
import { clockTime, count, day, duration, sameDay, until } from '../parts/words/times';
import { useNow } from '../parts/hooks/useNow';
import { ClassCard } from './desk/ClassCard';
import { NewLesson } from './desk/NewLesson';
import { Week } from './desk/Week';

/** The first page: today as a clock, the week as counts, and what waits. */
export default function Desk() {
  const desk = useQuery({ queryKey: ['desk'], queryFn: () => get<DeskFacts>('/api/desk'), refetchInterval: 20_000 });
  const now = useNow(10_000);
  if (!desk.data) return <Waiting says={desk.error?.message ?? 'Laying out the desk'} />;
  const { lessons, waiting } = desk.data;
  const today = lessons.filter((lesson) => ofToday(lesson, now));
  const next = today.find(({ starts_at, minutes, cancelled, class: held }) =>
    cancelled ? false : held?.status === 'open' ? true : held?.status !== 'ended' && starts_at + minutes * 60_000 > now,
  );
  const coming = lessons.filter((lesson) => lesson.starts_at > now && !lesson.cancelled && !today.includes(lesson));
  const held = lessons.filter((lesson) => lesson.class?.recorded && (lesson.to_mend || lesson.class.shared)).at(-1);

  return (
    <Shell action={<NewLesson />}>
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'flex',
          flexDirection: { xs: 'column', md: 'row' },
          overflowY: { xs: 'auto', md: 'hidden' },
        }}
      >
        <Box
          component="main"
          sx={{ flex: { xs: 'none', md: 1 }, minWidth: 0, overflowY: { md: 'auto' }, p: { xs: 2, md: 3 }, pt: 2.5 }}
        >
          <Box component="h1" sx={{ m: 0, typography: 'h1' }}>
            {day(now)}
          </Box>
          <Box sx={{ color: 'text.secondary', mb: 1.5 }}>{summary(today, next, now)}</Box>
          <Clock lessons={today} next={next} now={now} />
          <Title>This week</Title>
          <Week lessons={lessons} now={now} />
          {coming.length > 0 && <Title>{coming.some((lesson) => lesson.to_mend) ? 'Next to prepare' : 'Coming'}</Title>}
          <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
            {coming.slice(0, 3).map((lesson) => (
              <Coming key={lesson.id} lesson={lesson} />
            ))}
          </Box>
        </Box>
        <Box
          component="aside"
          aria-label="Waiting for you"
          sx={{
            width: { xs: 1, md: 330 },
            flex: 'none',
            bgcolor: 'background.paper',
            borderStyle: 'solid',
            borderWidth: { xs: '1px 0 0', md: '0 0 0 1px' },
            borderColor: 'divider',
            overflowY: { md: 'auto' },
            p: 2.75,
            pt: 2.5,
          }}
        >
          <Box component="h2" sx={{ m: 0, typography: 'h2', mb: 1 }}>
            Waiting for you
          </Box>
          {waiting.recordings.length + waiting.lessons.length + waiting.questions.length === 0 && (
            <Box sx={{ color: 'text.secondary' }}>Nothing just now.</Box>
          )}
          {waiting.lessons.map(({ id, title, count: things }) => (
            <Waits
              key={id}
              number={things}
              what={`${things === 1 ? 'thing' : 'things'} to mend`}
              where={title}
              to={`/lessons/${id}`}
            />
          ))}
          {waiting.questions.map(({ id, title, count: left }) => (
            <Waits
              key={`questions-${id}`}
              number={left}
              what={left === 1 ? 'question without an answer' : 'questions without an answer'}
              where={title}
              to={`/lessons/${id}/questions`}
            />
          ))}
          {waiting.recordings.map(({ id, title }) => (
            <Waits key={id} number={1} what="recording to share" where={title} to={`/recordings/${id}`} />
          ))}
          {held && <LastClass lesson={held} />}
        </Box>
      </Box>
    </Shell>
  );
}

/** ms ahead that a class belongs to today's work, whatever the calendar says at midnight. */
const SOON = 2 * 3_600_000;

/** Whether it is of today: by its day, or because it goes on, or begins so soon that one has to see it. */
function ofToday({ starts_at, minutes, class: held }: DeskLesson, now: number): boolean {
  const goesOn = held?.status === 'open' || (held?.status !== 'ended' && starts_at + minutes * 60_000 > now);
  return sameDay(starts_at, now) || (goesOn && starts_at < now + SOON);
}

function summary(today: DeskLesson[], next: DeskLesson | undefined, now: number): string {
  const taking = today.filter(({ cancelled }) => !cancelled);
  if (taking.length === 0) return 'No class today.';
  const held = count(taking.length, 'class', 'classes');
  if (!next) return `${held} today, all held.`;
  if (next.class?.status === 'open') return `${held} today. One is under way.`;
  return `${held} today. The next begins ${until(next.starts_at - now)}.`;
}

function Title({ children }: { children: string }) {
  return (
    <Box component="h2" sx={{ typography: 'h2', mt: 3, mb: 1 }}>
      {children}
    </Box>
  );
}

/** Today from top to bottom, with now among it. */
function Clock({ lessons, next, now }: { lessons: DeskLesson[]; next: DeskLesson | undefined; now: number }) {
  return (
    <Box
      sx={{ display: 'grid', gridTemplateColumns: '50px minmax(0, 1fr)', columnGap: { xs: 2, md: 3 }, rowGap: 1.75 }}
    >
      {lessons.map((lesson) => (
        <Box key={lesson.id} sx={{ display: 'contents' }}>
          <Box
            sx={{
              textAlign: 'right',
              fontSize: 14,
              color: 'text.secondary',
              pt: 1.5,
              position: 'relative',
              '&::after': {
                content: '""',
                position: 'absolute',
                right: -13,
                top: 0,
                bottom: -14,
                width: 2,
                bgcolor: 'divider',
              },
            }}
          >
            {lesson === next && lesson.starts_at > now && <Now now={now} />}
            {!sameDay(lesson.starts_at, now) && <Box>{day(lesson.starts_at, 'short').replace(/ \w+$/, '')}</Box>}
            {clockTime(lesson.starts_at)}
            {lesson === next && lesson.starts_at <= now && <Now now={now} />}
          </Box>
          <ClassCard lesson={lesson} first={lesson === next} />
        </Box>
      ))}
      {lessons.length === 0 && <Box sx={{ gridColumn: 2, color: 'text.secondary' }}>A free day.</Box>}
    </Box>
  );
}

/** Where the day is, above a class that is still to come and below one that has begun. */
function Now({ now }: { now: number }) {
  return (
    <Box sx={{ color: 'error.main', fontWeight: 700, lineHeight: 1.3, mb: 1, '&:last-child': { mt: 1, mb: 0 } }}>
      now
      <br />
      {clockTime(now)}
    </Box>
  );
}

function Coming({ lesson }: { lesson: DeskLesson }) {
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: { xs: 'wrap', md: 'nowrap' },
        alignItems: 'center',
        gap: 1.75,
        p: 1.5,
        pl: 2,
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'divider',
        borderRadius: 1.25,
      }}
    >
      <Box sx={{ flex: '1 1 200px' }}>
        <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
          {day(lesson.starts_at, 'short')}, {clockTime(lesson.starts_at)}
        </Box>
        <Box component="h3" sx={{ m: 0, typography: 'h3' }}>
          {lesson.title}
        </Box>
      </Box>
      {lesson.to_mend && lesson.to_mend.length > 0 && (
        <Box
          sx={{
            px: 1.25,
            py: 0.5,
            fontSize: 14,
            bgcolor: 'veranda.ochreWash',
            border: 1,
            borderColor: 'veranda.ochre',
            borderRadius: 1,
          }}
        >
          {count(lesson.to_mend.length, 'thing')} to mend
        </Box>
      )}
      {lesson.to_mend && (
        <Button component={Link} to={`/lessons/${lesson.id}`}>
          Open the lesson
        </Button>
      )}
    </Box>
  );
}

function Waits({ number, what, where, to }: { number: number; what: string; where: string; to: string }) {
  return (
    <Box
      component={Link}
      to={to}
      sx={{
        display: 'grid',
        gridTemplateColumns: '40px 1fr',
        py: 1.5,
        borderBottom: 1,
        borderColor: 'divider',
        color: 'inherit',
        textDecoration: 'none',
      }}
    >
      <Box sx={{ fontFamily: 'h1.fontFamily', fontSize: 22, fontWeight: 700, lineHeight: 1.1, textAlign: 'center' }}>
        {number}
      </Box>
      <Box>
        {what}
        <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{where}</Box>
      </Box>
    </Box>
  );
}

function LastClass({ lesson }: { lesson: DeskLesson }) {
  return (
    <Box sx={{ mt: 3 }}>
      <Box component="h2" sx={{ m: 0, typography: 'h2', mb: 1.5 }}>
        Last class
      </Box>
      <Box
        component={Link}
        to={`/recordings/${lesson.class!.id}`}
        sx={{
          display: 'block',
          p: 1.75,
          border: 1,
          borderColor: 'divider',
          borderRadius: 1.25,
          color: 'inherit',
          textDecoration: 'none',
          bgcolor: 'veranda.paper',
          '@media (prefers-color-scheme: dark)': { bgcolor: 'background.default' },
        }}
      >
        <strong>{lesson.title}</strong>
        <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
          {duration(lesson.class!.recorded!)} · {lesson.class!.shared ? 'shared with the course' : 'not shared yet'}
        </Box>
      </Box>
    </Box>
  );
}
