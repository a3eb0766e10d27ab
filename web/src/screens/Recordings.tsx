import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { get } from '../api/http';
import type { RecordingRow } from '../api/shapes';
import { Shell } from '../parts/frame/Shell';
import { Waiting } from '../parts/frame/Waiting';
import { clockTime, day, duration } from '../parts/words/times';

/** All recordings one may watch, newest first. */
export default function Recordings() {
  const recordings = useQuery({
    queryKey: ['recordings'],
    queryFn: () => get<{ recordings: RecordingRow[] }>('/api/recordings'),
  });
  if (!recordings.data) return <Waiting says={recordings.error?.message ?? 'Looking for recordings'} />;
  const rows = recordings.data.recordings;
  return (
    <Shell>
      <Box component="main" sx={{ flex: 1, overflowY: 'auto', p: 3, pt: 2.5, width: 1, maxWidth: 980 }}>
        <Box component="h1" sx={{ m: 0, typography: 'h1', mb: 2 }}>
          Recordings
        </Box>
        {rows.length === 0 && (
          <Box sx={{ color: 'text.secondary' }}>None yet. A recording is here seconds after its class ends.</Box>
        )}
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
          {rows.map((row) => (
            <Box
              key={row.id}
              component="article"
              sx={{
                display: 'flex',
                alignItems: 'center',
                gap: 2,
                p: 2,
                bgcolor: 'background.paper',
                border: 1,
                borderColor: 'divider',
                borderRadius: 1.25,
              }}
            >
              <Box sx={{ flex: 1, minWidth: 0 }}>
                <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
                  {day(row.at, 'short')}, {clockTime(row.at)} · {row.course}, evening {row.number}
                </Box>
                <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
                  {row.title}
                </Box>
                <Box sx={{ fontSize: 14, color: 'text.secondary' }}>{row.chapters.join(' · ')}</Box>
              </Box>
              <Box sx={{ textAlign: 'right', fontSize: 14 }}>
                <strong>{duration(row.length)}</strong>
                {row.staff && (
                  <Box sx={{ color: 'text.secondary' }}>{row.shared ? 'shared with the course' : 'not shared'}</Box>
                )}
              </Box>
              <Button component={Link} to={`/recordings/${row.id}`}>
                Watch
              </Button>
            </Box>
          ))}
        </Box>
      </Box>
    </Shell>
  );
}
