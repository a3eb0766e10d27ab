import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { get, post } from '../../api/http';
import type { Course } from '../../api/shapes';
import { CourseField } from '../../parts/fields/CourseField';
import { fromField, toField, WhenField } from '../../parts/fields/WhenField';
import { BringFiles } from '../../shelf/BringFiles';
import { UploadList } from '../../shelf/UploadList';
import { useUploads } from '../../shelf/useUploads';

const DAY = 86_400_000;
const QUARTER = 15 * 60_000;
const tomorrow = () => toField(Math.ceil((Date.now() + DAY) / QUARTER) * QUARTER);

/** A new lesson: empty, or from a zip that was saved before. For those who teach a course. */
export function NewLesson() {
  const courses = useQuery({ queryKey: ['courses'], queryFn: () => get<Course[]>('/api/courses') });
  const [asking, setAsking] = useState(false);
  const taught = courses.data?.filter(({ role }) => role !== 'student') ?? [];
  if (taught.length === 0) return null;
  return (
    <>
      <Button onClick={() => setAsking(true)}>New lesson</Button>
      {asking && <Asking courses={taught} onClose={() => setAsking(false)} />}
    </>
  );
}

function Asking({ courses, onClose }: { courses: Course[]; onClose: () => void }) {
  const go = useNavigate();
  const [course, setCourse] = useState(courses[0]!.id);
  const [title, setTitle] = useState('');
  const [when, setWhen] = useState(tomorrow);
  const open = (id: string) => go(`/lessons/${id}`);
  const uploads = useUploads({ course, purpose: 'lesson' }, open);
  const make = useMutation({
    mutationFn: () => post<{ id: string }>('/api/lessons', { course, title: title.trim(), starts_at: fromField(when) }),
    onSuccess: ({ id }) => open(id),
  });
  return (
    <Dialog open onClose={onClose} aria-labelledby="new-lesson">
      <DialogContent sx={{ width: 440, display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Box component="h2" id="new-lesson" sx={{ m: 0, typography: 'h2' }}>
          A new lesson
        </Box>
        <CourseField courses={courses} course={course} onCourse={setCourse} />
        <TextField
          size="small"
          autoFocus
          label="Title"
          value={title}
          onChange={(event) => setTitle(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 120 } }}
        />
        <WhenField label="When it is taught" value={when} onValue={setWhen} />
        {make.error && (
          <Box role="alert" sx={{ color: 'error.main' }}>
            {make.error.message}
          </Box>
        )}
        <UploadList uploads={uploads} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Not now</Button>
        <BringFiles name="From a zip" accept=".zip" several={false} onFiles={uploads.bring} />
        <Button
          variant="contained"
          color="primary"
          disabled={!title.trim() || fromField(when) === null || make.isPending}
          onClick={() => make.mutate()}
        >
          Make the lesson
        </Button>
      </DialogActions>
    </Dialog>
  );
}
