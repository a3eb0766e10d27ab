import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Course } from '../../api/shapes';

interface Props {
  courses: Course[];
  course: string;
  onCourse: (course: string) => void;
}

/** Which of the courses one teaches; nothing to choose when it is one. */
export function CourseField({ courses, course, onCourse }: Props) {
  if (courses.length < 2) return null;
  return (
    <TextField select size="small" label="Course" value={course} onChange={(event) => onCourse(event.target.value)}>
      {courses.map(({ id, name }) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
