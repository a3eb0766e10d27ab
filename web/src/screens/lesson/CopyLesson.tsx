import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { get, post } from '../../api/http';
import type { Course, LessonFacts } from '../../api/shapes';
import { CourseField } from '../../parts/fields/CourseField';
import { aWeekLater } from '../../parts/words/times';
import { WhenField, fromField, toField } from '../../parts/fields/WhenField';

/** Copies a lesson, boards and all, to another date or course; a week later unless said otherwise. */
export function CopyLesson({ lesson, onClose }: { lesson: LessonFacts; onClose: () => void }) {
  const go = useNavigate();
  const [when, setWhen] = useState(toField(aWeekLater(lesson.starts_at)));
  const [course, setCourse] = useState(lesson.course_id);
  const courses = useQuery({ queryKey: ['courses'], queryFn: () => get<Course[]>('/api/courses') });
  const copy = useMutation({
    mutationFn: () => post<{ id: string }>(`/api/lessons/${lesson.id}/copies`, { starts_at: fromField(when), course }),
    onSuccess: ({ id }) => {
      onClose();
      go(`/lessons/${id}`);
    },
  });
  const taught = courses.data?.filter(({ role }) => role !== 'student') ?? [];
  return (
    <Dialog open onClose={onClose} aria-labelledby="copy-lesson">
      <DialogContent sx={{ width: 420, display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Box component="h2" id="copy-lesson" sx={{ m: 0, typography: 'h2' }}>
          Copy this lesson
        </Box>
        <div>Run sheet, boards and what is on them are copied. Both go their own ways from then on.</div>
        <WhenField label="When the copy is taught" value={when} onValue={setWhen} />
        <CourseField courses={taught} course={course} onCourse={setCourse} />
        {copy.error && (
          <Box role="alert" sx={{ color: 'error.main' }}>
            {copy.error.message}
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Not now</Button>
        <Button
          variant="contained"
          color="primary"
          disabled={fromField(when) === null || copy.isPending}
          onClick={() => copy.mutate()}
        >
          Copy the lesson
        </Button>
      </DialogActions>
    </Dialog>
  );
}
