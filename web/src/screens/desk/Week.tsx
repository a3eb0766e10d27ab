import Box from '@mui/material/Box';
import { Link } from 'react-router';
import type { DeskLesson } from '../../api/shapes';
import { count, day, sameDay } from '../../parts/words/times';
import { nameOfDay } from '../calendar/days';

const DAY = 86_400_000;

/** Seven days from today, with how many classes each holds; each leads to the calendar. */
export function Week({ lessons, now }: { lessons: DeskLesson[]; now: number }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'repeat(auto-fill, minmax(104px, 1fr))', md: 'repeat(7, 1fr)' },
        gap: 1,
      }}
    >
      {Array.from({ length: 7 }, (_, i) => now + i * DAY).map((at, i) => {
        const own = lessons.filter(({ starts_at, cancelled }) => !cancelled && sameDay(starts_at, at));
        return (
          <Box
            key={at}
            component={Link}
            to={`/calendar?day=${nameOfDay(at)}`}
            sx={{
              color: 'inherit',
              textDecoration: 'none',
              '&:hover': { borderColor: 'primary.main' },
              minHeight: 76,
              p: 1.25,
              fontSize: 13,
              bgcolor: i === 0 ? 'veranda.wash' : 'background.paper',
              border: 1,
              borderColor: i === 0 ? 'primary.main' : 'divider',
              borderRadius: 1,
            }}
          >
            <strong>{day(at, 'short').replace(/ \w+$/, '')}</strong>
            <Box sx={{ color: own.length > 0 ? 'text.primary' : 'text.secondary' }}>
              {own.length > 0 ? count(own.length, 'class', 'classes') : 'free'}
            </Box>
            {own.some((lesson) => !lesson.to_mend) && (
              <Box sx={{ color: 'text.secondary' }}>
                you attend {own.every((lesson) => !lesson.to_mend) ? '' : 'one'}
              </Box>
            )}
          </Box>
        );
      })}
    </Box>
  );
}
