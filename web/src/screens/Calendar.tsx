import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { get } from '../api/http';
import type { CalendarLesson, Course } from '../api/shapes';
import { Fallible } from '../parts/frame/Fallible';
import { Shell } from '../parts/frame/Shell';
import { Waiting } from '../parts/frame/Waiting';
import { useNow } from '../parts/hooks/useNow';
import { count } from '../parts/words/times';
import { cityOf, differ, ownZone } from '../parts/words/zones';
import { AgendaMenu } from './calendar/AgendaMenu';
import { DayPanel, type Moving } from './calendar/DayPanel';
import { LessonList } from './calendar/LessonList';
import { MonthGrid } from './calendar/MonthGrid';
import { PlanLessons } from './calendar/PlanLessons';
import { dayOf, daysOn, monthOf, monthsOn, nameOfDay, weeksOf } from './calendar/days';
import { teaches, useCalendar } from './calendar/useCalendar';

const MONTH = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric' });
const SHORT = new Intl.DateTimeFormat('en-GB', { month: 'short' });

/** @returns the day that an address names, `2026-12-04`, or today */
function dayNamed(name: string | null): number {
  const [year, month, day] = (name ?? '').split('-').map(Number);
  const at = year && month && day ? new Date(year, month - 1, day).getTime() : NaN;
  return Number.isNaN(at) ? dayOf(Date.now()) : at;
}

/** Months that a list shows at once. */
const LISTED = 6;

/** @returns from when to when lessons are shown: the weeks of a month, or months from the one before it */
function span(month: number, listed: boolean): [number, number] {
  if (listed) return [monthsOn(month, -1), monthsOn(month, LISTED - 1)];
  const weeks = weeksOf(month);
  return [weeks[0]![0]!, daysOn(weeks.at(-1)![6]!, 1)];
}

/** All lessons of one's courses: a month at a time, or many as a list, and one day in full. */
export default function Calendar() {
  const [search, setSearch] = useSearchParams();
  const chosen = dayNamed(search.get('day'));
  const month = monthOf(chosen);
  const listed = search.get('as') === 'list';
  const { data, error, look } = useCalendar(...span(month, listed));
  const courses = useQuery({ queryKey: ['courses'], queryFn: () => get<Course[]>('/api/courses') });
  const now = useNow(30_000);
  const [moving, setMoving] = useState<Moving | null>(null);
  const [planning, setPlanning] = useState(false);
  const go = (day: number, asList: boolean) =>
    setSearch({ day: nameOfDay(day), ...(asList ? { as: 'list' } : {}) }, { replace: true });
  const choose = (day: number) => go(day, listed);
  const step = listed ? LISTED : 1;
  if (!data || !courses.data)
    return <Waiting says={error?.message ?? courses.error?.message ?? 'Going to the calendar'} />;
  const { lessons } = data;
  const taught = courses.data.filter(({ role }) => role !== 'student');
  const done = (at?: number) => {
    if (at !== undefined) choose(dayOf(at));
    void look();
  };
  return (
    <Shell>
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'flex',
          flexDirection: 'column',
          gap: 1.5,
          p: { xs: 2, md: 3 },
          pt: { xs: 1.5, md: 1.5 },
          overflowY: 'auto',
        }}
      >
        <Box sx={{ display: 'flex', alignItems: 'baseline', flexWrap: 'wrap', columnGap: 1.5, rowGap: 1 }}>
          <Box component="h1" sx={{ m: 0, typography: 'h1' }}>
            {MONTH.format(month)}
          </Box>
          <Box sx={{ flex: 1, minWidth: 200, fontSize: 14, color: 'text.secondary' }}>
            {[inMonth(lessons, month), times(lessons)].filter(Boolean).join(' · ')}
            {data.more && ' · not all of them can be shown'}
          </Box>
          <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap' }}>
            <Button onClick={() => choose(monthsOn(month, -step))}>
              ‹ {listed ? 'Earlier' : SHORT.format(monthsOn(month, -1))}
            </Button>
            <Button onClick={() => choose(dayOf(now))} disabled={chosen === dayOf(now)}>
              Today
            </Button>
            <Button onClick={() => choose(monthsOn(month, step))}>
              {listed ? 'Later' : SHORT.format(monthsOn(month, 1))} ›
            </Button>
            <Button onClick={() => go(chosen, !listed)}>{listed ? 'Month' : 'List'}</Button>
            <AgendaMenu />
            {taught.length > 0 && (
              <Button variant="contained" color="primary" onClick={() => setPlanning(true)}>
                Plan lessons
              </Button>
            )}
          </Box>
        </Box>
        <Box
          sx={{ flex: 1, display: 'flex', flexDirection: { xs: 'column', md: 'row' }, gap: 2, minHeight: { md: 0 } }}
        >
          <Box component="main" sx={{ flex: 1, minWidth: 0, display: 'flex', overflowY: { md: 'auto' } }}>
            {listed ? (
              <LessonList lessons={lessons} chosen={chosen} now={now} onChoose={choose} />
            ) : (
              <MonthGrid
                month={month}
                lessons={lessons}
                chosen={chosen}
                now={now}
                onChoose={choose}
                onMove={(lesson, to) => {
                  choose(dayOf(to));
                  setMoving({ lesson, to });
                }}
              />
            )}
          </Box>
          <Box
            component="aside"
            aria-label="The day"
            sx={{
              width: { xs: 1, md: 320, lg: 356 },
              flex: 'none',
              p: 2,
              bgcolor: 'background.paper',
              border: 1,
              borderColor: 'divider',
              borderRadius: 1.25,
              overflowY: { md: 'auto' },
            }}
          >
            <Fallible what="The day" of={String(chosen)}>
              <DayPanel
                day={chosen}
                lessons={lessons.filter(({ starts_at }) => dayOf(starts_at) === chosen)}
                moving={moving}
                onMoving={setMoving}
                onDone={done}
              />
            </Fallible>
          </Box>
        </Box>
      </Box>
      {planning && (
        <PlanLessons
          courses={taught}
          lessons={lessons.filter(teaches)}
          first={`${nameOfDay(Math.max(chosen, dayOf(now)))}T18:00`}
          onClose={() => setPlanning(false)}
          onDone={(at) => {
            setPlanning(false);
            done(at);
          }}
        />
      )}
    </Shell>
  );
}

function inMonth(lessons: CalendarLesson[], month: number): string {
  const own = lessons.filter(({ starts_at, cancelled }) => monthOf(starts_at) === month && !cancelled);
  if (own.length === 0) return 'no class';
  const taught = own.filter(teaches).length;
  const role = taught === own.length ? 'you teach all' : taught > 0 ? `you teach ${taught}` : 'you attend all';
  return own.length === 1 ? '1 class' : `${count(own.length, 'class', 'classes')}, ${role}`;
}

/** By whose clocks they are shown, where that can be mistaken. */
function times(lessons: CalendarLesson[]): string | null {
  const zones = [...new Set(lessons.map(({ zone }) => zone))].filter((zone) =>
    lessons.some((lesson) => lesson.zone === zone && differ(ownZone(), zone, lesson.starts_at)),
  );
  return zones.length > 0 ? `times as in ${cityOf(ownZone())}, not as in ${zones.map(cityOf).join(' and ')}` : null;
}
