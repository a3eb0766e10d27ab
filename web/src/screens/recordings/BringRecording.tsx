import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { get } from '../../api/http';
import type { Course } from '../../api/shapes';
import { CourseField } from '../../parts/fields/CourseField';
import { BringFiles } from '../../shelf/BringFiles';
import { UploadList } from '../../shelf/UploadList';
import { useUploads } from '../../shelf/useUploads';

/** For those who teach: a recording that was saved as a zip, here or elsewhere, becomes one of a course. */
export function BringRecording() {
  const courses = useQuery({ queryKey: ['courses'], queryFn: () => get<Course[]>('/api/courses') });
  const [asking, setAsking] = useState(false);
  const taught = courses.data?.filter(({ role }) => role !== 'student') ?? [];
  if (taught.length === 0) return null;
  return (
    <>
      <Button onClick={() => setAsking(true)}>Bring a recording</Button>
      {asking && <Asking courses={taught} onClose={() => setAsking(false)} />}
    </>
  );
}

function Asking({ courses, onClose }: { courses: Course[]; onClose: () => void }) {
  const go = useNavigate();
  const [course, setCourse] = useState(courses[0]!.id);
  const uploads = useUploads({ course, purpose: 'recording' }, (id) => go(`/recordings/${id}`));
  return (
    <Dialog open onClose={onClose} aria-labelledby="bring-recording">
      <DialogContent sx={{ width: 440, maxWidth: 1, display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Box component="h2" id="bring-recording" sx={{ m: 0, typography: 'h2' }}>
          A recording from a zip
        </Box>
        <Box>It becomes a class of its own in the course, and is shared with nobody until you do so.</Box>
        <CourseField courses={courses} course={course} onCourse={setCourse} />
        <UploadList uploads={uploads} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Not now</Button>
        <BringFiles name="Choose the zip" accept=".zip" several={false} onFiles={uploads.bring} />
      </DialogActions>
    </Dialog>
  );
}
