import Box from '@mui/material/Box';
import type { CalendarLesson } from '../../api/shapes';
import { grouped } from '../../parts/grouped';
import { clockTime, count, day as words } from '../../parts/words/times';
import { dayOf, monthOf } from './days';
import { partOf, teaches } from './useCalendar';

const MONTH = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric' });

interface Props {
  lessons: CalendarLesson[];
  chosen: number;
  now: number;
  onChoose: (day: number) => void;
}

/** Lessons one below the other, by months; what is over is paler. */
export function LessonList({ lessons, chosen, now, onChoose }: Props) {
  if (lessons.length === 0) return <Box sx={{ color: 'text.secondary', p: 1 }}>No class in these months.</Box>;
  return (
    <Box sx={{ flex: 1, minWidth: 0 }}>
      {[...grouped(lessons, ({ starts_at }) => monthOf(starts_at))].map(([month, own]) => (
        <Box key={month} component="section" aria-label={MONTH.format(month)} sx={{ mb: 2 }}>
          <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mb: 0.5 }}>
            <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
              {MONTH.format(month)}
            </Box>
            <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
              {count(own.filter(({ cancelled }) => !cancelled).length, 'class', 'classes')}
            </Box>
          </Box>
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {own.map((lesson) => (
              <Box key={lesson.id} component="li">
                <Row lesson={lesson} chosen={dayOf(lesson.starts_at) === chosen} now={now} onChoose={onChoose} />
              </Box>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

function Row({
  lesson,
  chosen,
  now,
  onChoose,
}: Omit<Props, 'lessons' | 'chosen'> & { lesson: CalendarLesson; chosen: boolean }) {
  const over = lesson.starts_at + lesson.minutes * 60_000 < now;
  return (
    <Box
      component="button"
      aria-pressed={chosen}
      onClick={() => onChoose(dayOf(lesson.starts_at))}
      sx={{
        all: 'unset',
        boxSizing: 'border-box',
        width: 1,
        minHeight: 44,
        display: 'grid',
        gridTemplateColumns: { xs: '92px minmax(0, 1fr)', md: '150px minmax(0, 1fr) auto' },
        columnGap: 1.5,
        alignItems: 'center',
        px: 1.25,
        py: 0.5,
        cursor: 'pointer',
        bgcolor: chosen ? 'veranda.wash' : over ? undefined : 'background.paper',
        borderLeft: teaches(lesson) ? '4px solid' : '1px solid',
        borderBottom: '1px solid',
        borderLeftColor: 'primary.main',
        borderBottomColor: 'divider',
        '&:focus-visible': { outline: 2, outlineColor: 'primary.main' },
      }}
    >
      <Box sx={{ fontSize: 14 }}>
        {words(lesson.starts_at, 'short')}
        <Box component="span" sx={{ color: 'text.secondary', ml: 0.75 }}>
          {clockTime(lesson.starts_at)}
        </Box>
      </Box>
      <Box sx={{ minWidth: 0 }}>
        <Box
          sx={{
            fontWeight: 650,
            textDecoration: lesson.cancelled ? 'line-through' : undefined,
            overflowWrap: 'anywhere',
          }}
        >
          {lesson.title}
        </Box>
        <Box sx={{ fontSize: 14, color: 'text.secondary' }}>{lesson.course}</Box>
      </Box>
      <Box sx={{ fontSize: 14, color: 'text.secondary', gridColumn: { xs: 2, md: 'auto' } }}>
        {lesson.cancelled ? 'does not take place' : partOf(lesson)}
      </Box>
    </Box>
  );
}
