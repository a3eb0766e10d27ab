import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { get } from '../../api/http';
import type { CalendarLesson, SeriesFacts } from '../../api/shapes';
import { ChangeSeries } from './ChangeSeries';

/** The series that a lesson belongs to, as people say it; those who teach change it from here on, or as a whole. */
export function ThisSeries({ lesson, onDone }: { lesson: CalendarLesson; onDone: () => void }) {
  const [changing, setChanging] = useState(false);
  const address = `/api/courses/${lesson.course_id}/series/${lesson.series}`;
  const { data: series, refetch } = useQuery({
    queryKey: ['series', address],
    queryFn: () => get<SeriesFacts>(address),
  });
  if (!series) return null;
  return (
    <Box component="section" aria-labelledby={`series-${lesson.id}`} sx={{ mt: 2 }}>
      <Box component="h3" id={`series-${lesson.id}`} sx={{ m: 0, typography: 'h3' }}>
        This series
      </Box>
      {series.parts.map(({ words, from }, i) => (
        <Box
          key={from ?? 'first'}
          sx={{ fontSize: 14, color: 'text.secondary', '&::first-letter': { textTransform: 'uppercase' } }}
        >
          {i > 0 && 'Then '}
          {words}
        </Box>
      ))}
      <Button sx={{ mt: 1 }} onClick={() => setChanging(true)}>
        Change the rule
      </Button>
      {changing && (
        <ChangeSeries
          lesson={lesson}
          series={series}
          onClose={() => setChanging(false)}
          onDone={() => {
            setChanging(false);
            void refetch();
            onDone();
          }}
        />
      )}
    </Box>
  );
}
