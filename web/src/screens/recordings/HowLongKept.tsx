import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { get, patch } from '../../api/http';
import type { Course, CoursePolicy } from '../../api/shapes';
import { WhatIsKept } from '../../parts/courses/WhatIsKept';
import { CourseField } from '../../parts/fields/CourseField';

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
        {data && <WhatIsKept policy={data} onChange={change.mutate} />}
        {change.error && <Box role="alert">{change.error.message}</Box>}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
