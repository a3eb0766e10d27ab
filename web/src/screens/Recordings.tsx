import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { get } from '../api/http';
import type { RecordingRow } from '../api/shapes';
import { Shell } from '../parts/frame/Shell';
import { Waiting } from '../parts/frame/Waiting';
import { useRested } from '../parts/hooks/useRested';
import { HowLongKept } from './recordings/HowLongKept';
import { BringRecording } from './recordings/BringRecording';
import { WithSeveral } from './recordings/WithSeveral';
import { chosen, EVERYTHING, type Choice } from './recordings/choice';
import { RecordingCard } from './recordings/RecordingCard';

/** ms after which those that had not been read yet are asked for again. */
const AGAIN = 1_000;

/** All recordings one may watch, newest first, and where in them something was written, said or shown. */
export default function Recordings() {
  const [choice, setChoice] = useState<Choice>(EVERYTHING);
  const [several, setSeveral] = useState<string[]>([]);
  const sought = useRested(choice.words.trim(), 300);
  const recordings = useQuery({
    queryKey: ['recordings', sought],
    queryFn: () =>
      get<{ recordings: RecordingRow[]; unread: number }>(
        `/api/recordings${sought.length > 1 ? `?search=${encodeURIComponent(sought)}` : ''}`,
      ),
    placeholderData: keepPreviousData,
    refetchInterval: ({ state }) => (state.data?.unread ? AGAIN : false),
  });
  if (!recordings.data) return <Waiting says={recordings.error?.message ?? 'Looking for recordings'} />;
  const all = recordings.data.recordings;
  const rows = chosen(all, choice);
  const set = (some: Partial<Choice>) => setChoice((before) => ({ ...before, ...some }));
  const courses = [...new Set(all.map(({ course }) => course))];
  const teachers = [...new Set(all.flatMap(({ taught }) => taught))];
  return (
    <Shell>
      <Box
        component="main"
        sx={{ flex: 1, overflowY: 'auto', p: { xs: 1.5, md: 3 }, pt: 2.5, width: 1, maxWidth: 980 }}
      >
        <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1, mb: 1.5 }}>
          <Box component="h1" sx={{ m: 0, typography: 'h1', flex: 1 }}>
            Recordings
          </Box>
          <HowLongKept />
          <BringRecording />
        </Box>
        <Box role="search" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 2 }}>
          <TextField
            size="small"
            type="search"
            placeholder="What was written, said or shown"
            value={choice.words}
            onChange={(event) => set({ words: event.target.value })}
            slotProps={{ htmlInput: { 'aria-label': 'Find in all recordings', maxLength: 200, dir: 'auto' } }}
            sx={{ flex: '1 1 260px' }}
          />
          <Which label="Course" value={choice.course} of={courses} onChange={(course) => set({ course })} />
          <Which label="Taught by" value={choice.teacher} of={teachers} onChange={(teacher) => set({ teacher })} />
          {(['from', 'to'] as const).map((end) => (
            <TextField
              key={end}
              size="small"
              type="date"
              label={end === 'from' ? 'From' : 'Until'}
              value={choice[end]}
              onChange={(event) => set({ [end]: event.target.value })}
              slotProps={{ inputLabel: { shrink: true } }}
              sx={{ width: 150 }}
            />
          ))}
        </Box>
        <Box role="status" sx={{ color: 'text.secondary' }}>
          {rows.length === 0 &&
            (sought || all.length > 0
              ? 'Nothing like that in the recordings that you may watch.'
              : 'None yet. A recording is here seconds after its class ends.')}
          {recordings.data.unread > 0 && ` ${recordings.data.unread} more are being read …`}
        </Box>
        <WithSeveral chosen={several} onDone={() => setSeveral([])} />
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
          {rows.map((row) => (
            <RecordingCard
              key={row.id}
              {...{ row, sought }}
              chosen={several.includes(row.id)}
              onChoose={(on) => setSeveral(on ? [...several, row.id] : several.filter((id) => id !== row.id))}
            />
          ))}
        </Box>
      </Box>
    </Shell>
  );
}

interface WhichProps {
  label: string;
  value: string;
  of: string[];
  onChange: (value: string) => void;
}

/** One of some, or all of them; nothing where there is nothing to choose from. */
function Which({ label, value, of, onChange }: WhichProps) {
  if (of.length < 2 && value === '') return null;
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
      sx={{ minWidth: 150 }}
    >
      <MenuItem value="">All</MenuItem>
      {of.map((one) => (
        <MenuItem key={one} value={one}>
          {one}
        </MenuItem>
      ))}
    </TextField>
  );
}
