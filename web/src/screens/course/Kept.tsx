import Box from '@mui/material/Box';
import type { CoursePolicy } from '../../api/shapes';
import type { CourseState } from '../../live/course';
import { useLive } from '../../live/hooks';
import { courseStream } from '../../live/streams';
import { WhatIsKept } from '../../parts/courses/WhatIsKept';

/** What a course keeps of its classes, for those who teach it. */
export function Kept({ id, course, decides }: { id: string; course: CourseState; decides: boolean }) {
  const live = useLive();
  const change = (some: Partial<CoursePolicy>) => void live.do('course.set', courseStream(id), some);
  return (
    <Box component="section" aria-labelledby="kept" sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
      <Box component="h2" id="kept" sx={{ m: 0, typography: 'h2' }}>
        What is kept
      </Box>
      <WhatIsKept policy={course} decides={decides} onChange={change} />
      {!decides && <Box sx={{ fontSize: 14, color: 'text.secondary' }}>Instructors decide this.</Box>}
    </Box>
  );
}
