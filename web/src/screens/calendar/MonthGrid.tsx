import Box from '@mui/material/Box';
import { visuallyHidden } from '@mui/utils';
import { useEffect, useRef, type KeyboardEvent } from 'react';
import type { CalendarLesson } from '../../api/shapes';
import { grouped } from '../../parts/grouped';
import { clockTime, count, day as words } from '../../parts/words/times';
import { keepingTimeIn } from '../../parts/words/zones';
import { atDay, dayOf, daysOn, monthOf, weekNumber, weeksOf } from './days';
import { movable, teaches } from './useCalendar';

/** How far arrow keys lead. */
const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 };
/** Lessons of one day that are shown in it; the day itself lists all. */
const MOST_SHOWN = 3;

interface Props {
  month: number;
  lessons: CalendarLesson[];
  chosen: number;
  now: number;
  onChoose: (day: number) => void;
  /** Somebody drags a lesson to another day. */
  onMove: (lesson: CalendarLesson, to: number) => void;
}

/** A month as its weeks: what one teaches is filled, what one attends outlined. */
export function MonthGrid({ month, lessons, chosen, now, onChoose, onMove }: Props) {
  const grid = useRef<HTMLDivElement>(null);
  const dragged = useRef<CalendarLesson | null>(null);
  const weeks = weeksOf(month);
  const byDay = grouped(lessons, ({ starts_at }) => dayOf(starts_at));
  const of = (day: number) => byDay.get(day) ?? [];
  // Where keys have led to, which may be further than what is shown yet.
  const led = useRef(chosen);
  useEffect(() => {
    led.current = chosen;
  }, [chosen]);
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const to = daysOn(led.current, step);
    led.current = to;
    onChoose(to);
    // A day of another month is there once that is.
    requestAnimationFrame(() => grid.current?.querySelector<HTMLElement>(`[data-day="${to}"]`)?.focus());
  };
  const drop = (day: number) => {
    const lesson = dragged.current;
    dragged.current = null;
    if (!lesson || dayOf(lesson.starts_at) === day) return;
    onMove(lesson, keepingTimeIn(lesson.zone, lesson.starts_at, atDay(lesson.starts_at, day)));
  };

  return (
    <Box
      ref={grid}
      role="group"
      aria-label="Days"
      onKeyDown={onKeyDown}
      sx={{ display: 'flex', flexDirection: 'column', gap: 1, flex: 1 }}
    >
      <Box aria-hidden sx={{ ...ROW, fontSize: 13, fontWeight: 650, color: 'text.secondary' }}>
        <Box sx={{ display: { xs: 'none', md: 'block' } }} />
        {weeks[0]!.map((day) => (
          <Box key={day} sx={{ pl: 0.75 }}>
            {words(day, 'short').slice(0, 3)}
          </Box>
        ))}
      </Box>
      {weeks.map((week) => (
        <Box
          key={week[0]}
          sx={{
            ...ROW,
            flex: '1 0 auto',
            minHeight: { xs: 56, md: 96 },
            bgcolor: 'background.paper',
            border: 1,
            borderColor: 'divider',
            borderRadius: 1,
            overflow: 'hidden',
          }}
        >
          <WeekHead week={week} held={week.flatMap(of).filter(({ cancelled }) => !cancelled).length} />
          {week.map((day) => (
            <Day
              key={day}
              day={day}
              lessons={of(day)}
              outside={monthOf(day) !== month}
              today={dayOf(now) === day}
              chosen={chosen === day}
              onChoose={() => onChoose(day)}
              onDrag={(lesson) => (dragged.current = lesson)}
              onDrop={() => drop(day)}
            />
          ))}
        </Box>
      ))}
    </Box>
  );
}

const ROW = {
  display: 'grid',
  gridTemplateColumns: { xs: 'repeat(7, minmax(0, 1fr))', md: '66px repeat(7, minmax(0, 1fr))' },
};

function WeekHead({ week, held }: { week: number[]; held: number }) {
  return (
    <Box
      sx={{
        display: { xs: 'none', md: 'block' },
        bgcolor: 'background.default',
        p: 0.75,
        fontSize: 12,
        color: 'text.secondary',
      }}
    >
      week
      <Box sx={{ typography: 'h3', color: 'text.primary' }}>{weekNumber(week[0]!)}</Box>
      {held > 0 && count(held, 'class', 'classes')}
    </Box>
  );
}

interface DayProps {
  day: number;
  lessons: CalendarLesson[];
  outside: boolean;
  today: boolean;
  chosen: boolean;
  onChoose: () => void;
  onDrag: (lesson: CalendarLesson) => void;
  onDrop: () => void;
}

function Day({ day, lessons, outside, today, chosen, onChoose, onDrag, onDrop }: DayProps) {
  const taking = lessons.filter(({ cancelled }) => !cancelled);
  const taught = taking.filter(teaches).length;
  const says = [
    words(day),
    count(taking.length, 'class', 'classes'),
    taught > 0 && `${taught} to teach`,
    today && 'today',
  ];
  return (
    <Box
      onDragOver={(event) => event.preventDefault()}
      onDrop={onDrop}
      onClick={onChoose}
      sx={{
        minWidth: 0,
        borderLeft: 1,
        borderColor: 'divider',
        bgcolor: chosen ? 'veranda.wash' : undefined,
        cursor: 'pointer',
        display: 'flex',
        flexDirection: 'column',
        gap: { xs: 0, md: 0.25 },
        p: { xs: 0.25, md: 0.5 },
        overflow: 'hidden',
      }}
    >
      <Box
        component="button"
        data-day={day}
        tabIndex={chosen ? 0 : -1}
        aria-pressed={chosen}
        aria-current={today ? 'date' : undefined}
        sx={{
          all: 'unset',
          display: 'flex',
          justifyContent: 'space-between',
          alignItems: 'baseline',
          minHeight: { xs: 44, md: 26 },
          boxSizing: 'border-box',
          width: 1,
          fontSize: 13,
          borderRadius: 0.5,
          '&:focus-visible': { outline: 2, outlineColor: 'primary.main' },
        }}
      >
        <Box component="span" sx={visuallyHidden}>
          {says.filter(Boolean).join(', ')}
        </Box>
        <Box
          aria-hidden
          sx={{
            fontWeight: 700,
            px: 0.25,
            color: outside ? 'text.secondary' : 'text.primary',
            fontStyle: outside ? 'italic' : undefined,
            borderBottom: today ? '3px solid' : undefined,
            borderColor: 'error.main',
          }}
        >
          {new Date(day).getDate()}
        </Box>
        {taking.length > 0 && (
          <>
            <Box aria-hidden sx={{ display: { xs: 'none', lg: 'block' }, color: 'text.secondary', fontSize: 12 }}>
              {taught > 0 ? `${taught} to teach` : `${taking.length} to attend`}
            </Box>
            <Box
              aria-hidden
              sx={{
                display: { md: 'none' },
                minWidth: 20,
                textAlign: 'center',
                borderRadius: 2,
                border: 1,
                borderColor: 'primary.main',
                fontSize: 12,
                ...(taught > 0 ? FILLED : {}),
              }}
            >
              {taking.length}
            </Box>
          </>
        )}
      </Box>
      {lessons.slice(0, MOST_SHOWN).map((lesson) => (
        <Chip key={lesson.id} lesson={lesson} onDrag={() => onDrag(lesson)} />
      ))}
      {lessons.length > MOST_SHOWN && (
        <Box sx={{ display: { xs: 'none', md: 'block' }, fontSize: 12 }}>and {lessons.length - MOST_SHOWN} more</Box>
      )}
    </Box>
  );
}

const FILLED = { bgcolor: 'primary.main', color: 'primary.contrastText' };

function Chip({ lesson, onDrag }: { lesson: CalendarLesson; onDrag: () => void }) {
  const looks = teaches(lesson) && !lesson.cancelled ? FILLED : { color: 'text.primary' };
  return (
    <Box
      draggable={movable(lesson)}
      onDragStart={onDrag}
      title={lesson.title}
      sx={{
        display: { xs: 'none', md: 'block' },
        px: 0.5,
        fontSize: 12,
        lineHeight: 1.25,
        borderRadius: 0.6,
        border: 1,
        borderStyle: lesson.cancelled ? 'dashed' : 'solid',
        borderColor: 'primary.main',
        textDecoration: lesson.cancelled ? 'line-through' : undefined,
        cursor: movable(lesson) ? 'grab' : 'pointer',
        overflow: 'hidden',
        ...looks,
      }}
    >
      {clockTime(lesson.starts_at)}
      <Box sx={{ display: '-webkit-box', WebkitLineClamp: 2, WebkitBoxOrient: 'vertical', overflow: 'hidden' }}>
        {lesson.title}
      </Box>
    </Box>
  );
}
