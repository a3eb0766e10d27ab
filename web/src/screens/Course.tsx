import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { Navigate, useNavigate, useParams } from 'react-router';
import { get } from '../api/http';
import type { Course as CourseRow } from '../api/shapes';
import { LiveContext, useConnection, useLiveClient, useStream } from '../live/hooks';
import type { CourseState } from '../live/course';
import type { PeopleState } from '../live/people';
import { courseStream, peopleStream } from '../live/streams';
import { CourseField } from '../parts/fields/CourseField';
import { Fallible } from '../parts/frame/Fallible';
import { Notices } from '../parts/frame/Notices';
import { Shell } from '../parts/frame/Shell';
import { Waiting } from '../parts/frame/Waiting';
import { Clocks } from './course/Clocks';
import { CourseName } from './course/CourseName';
import { CoursePeople } from './course/CoursePeople';
import { Kept } from './course/Kept';

/** A course: what it is called, who belongs to it and what it keeps. What others change is seen as they do it. */
export default function Course() {
  const { id } = useParams();
  const go = useNavigate();
  const courses = useQuery({ queryKey: ['courses'], queryFn: () => get<CourseRow[]>('/api/courses') });
  const taught = courses.data?.filter(({ role }) => role !== 'student');
  if (!taught) return <Waiting says={courses.error?.message ?? 'Going to the course'} />;
  if (!id && taught[0]) return <Navigate to={`/courses/${taught[0].id}`} replace />;
  if (!id) return <Waiting says="You teach no course yet. What you learn in is on your desk." />;
  return (
    <Shell>
      <OneCourse key={id} id={id}>
        <CourseField courses={taught} course={id} onCourse={(to) => go(`/courses/${to}`)} />
      </OneCourse>
    </Shell>
  );
}

function OneCourse({ id, children }: { id: string; children: React.ReactNode }) {
  const client = useLiveClient('course', id);
  if (!client) return <Waiting />;
  return (
    <LiveContext value={client}>
      <Notices />
      <Opened id={id}>{children}</Opened>
    </LiveContext>
  );
}

function Opened({ id, children }: { id: string; children: React.ReactNode }) {
  const course = useStream<CourseState>(courseStream(id));
  const people = useStream<PeopleState>(peopleStream(id));
  const { you, trouble } = useConnection();
  // Who does not belong to it any more is shown nothing of what was known of it.
  const left = trouble?.code === 'not_invited';
  if (!course || !you || left) return <Waiting says={trouble?.says ?? 'Going to the course'} />;
  const decides = you.role === 'instructor';
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, overflowY: 'auto', p: { xs: 2, md: 3 }, pt: 2.5 }}>
      <Box sx={{ maxWidth: 1080, mx: 'auto' }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap', mb: 2 }}>
          <CourseName id={id} name={course.name ?? ''} decides={decides} />
          {children}
        </Box>
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 360px' }, gap: { xs: 3, md: 5 } }}>
          {people && (
            <Fallible what="The people of this course">
              <CoursePeople id={id} people={people.people} you={you.id} decides={decides} />
            </Fallible>
          )}
          {you.staff ? (
            <Box>
              <Kept id={id} course={course} decides={decides} />
              <Clocks id={id} course={course} decides={decides} />
            </Box>
          ) : (
            <Box>You learn in this course. Its lessons, and what is left of them, are on your desk.</Box>
          )}
        </Box>
      </Box>
    </Box>
  );
}
