import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { get, patch } from '../../api/http';
import type { Course, CoursePolicy } from '../../api/shapes';
import { CourseField } from '../../parts/fields/CourseField';

/** Days for which recordings are kept. */
const DAYS = [30, 90, 180, 365, 730];

/** Languages whose stems the search knows. */
const LANGUAGES = 'en da de el es fi fr hu id it lt nl no pt ro ru sv tr'.split(' ');

/** For instructors: for how long a course keeps its recordings, and whether what was not recorded may be added. */
export function HowLongKept() {
  const courses = useQuery({ queryKey: ['courses'], queryFn: () => get<Course[]>('/api/courses') });
  const [asking, setAsking] = useState(false);
  const taught = courses.data?.filter(({ role }) => role === 'instructor') ?? [];
  if (taught.length === 0) return null;
  return (
    <>
      <Button onClick={() => setAsking(true)}>What is kept</Button>
      {asking && <Asking courses={taught} onClose={() => setAsking(false)} />}
    </>
  );
}

function Asking({ courses, onClose }: { courses: Course[]; onClose: () => void }) {
  const [course, setCourse] = useState(courses[0]!.id);
  const queries = useQueryClient();
  const key = ['course-policy', course];
  const path = `/api/courses/${course}`;
  const { data } = useQuery({ queryKey: key, queryFn: () => get<CoursePolicy>(`${path}/policy`) });
  const change = useMutation({
    mutationFn: (some: Partial<CoursePolicy>) => patch<CoursePolicy>(path, some),
    onSuccess: (policy) => queries.setQueryData(key, policy),
  });
  return (
    <Dialog open onClose={onClose} aria-labelledby="what-is-kept">
      <DialogContent sx={{ width: 440, maxWidth: 1, display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Box component="h2" id="what-is-kept" sx={{ m: 0, typography: 'h2' }}>
          What a course keeps
        </Box>
        <CourseField courses={courses} course={course} onCourse={setCourse} />
        {data && (
          <>
            <TextField
              select
              size="small"
              label="Recordings are kept"
              value={data.keep_recordings ?? 0}
              onChange={({ target }) => change.mutate({ keep_recordings: Number(target.value) || null })}
            >
              <MenuItem value={0}>until somebody deletes them</MenuItem>
              {[...new Set([...DAYS, ...(data.keep_recordings ? [data.keep_recordings] : [])])].map((days) => (
                <MenuItem key={days} value={days}>
                  {days} days after the class
                </MenuItem>
              ))}
            </TextField>
            <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
              Then sound, picture, films, zips, links, notes and who watched are gone for good. Boards and posts stay
              with the lesson.
            </Box>
            <TextField
              select
              size="small"
              label="Words are found as in"
              value={data.language}
              onChange={({ target }) => change.mutate({ language: target.value })}
            >
              {[...new Set([...LANGUAGES, data.language])].map((code) => (
                <MenuItem key={code} value={code}>
                  {new Intl.DisplayNames('en', { type: 'language' }).of(code)}
                </MenuItem>
              ))}
            </TextField>
            <FormControlLabel
              control={
                <Switch
                  checked={data.add_missed}
                  onChange={(_, add_missed) => change.mutate({ add_missed })}
                  slotProps={{ input: { 'aria-label': 'What was not recorded may be added afterwards' } }}
                />
              }
              label="What was not recorded may be added afterwards, with its boards and posts"
            />
          </>
        )}
        {change.error && <Box role="alert">{change.error.message}</Box>}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
