import type { CourseView, Entry } from '../api/shapes';
import type { Fold } from './fold';

export type CourseState = CourseView;

/** Follows what a course is called and keeps, as `Core::Courses::Course` does. */
export const courseFold: Fold<CourseState> = {
  from: (view) => view as CourseState,
  apply(state, { kind, body }: Entry) {
    return kind === 'course_begun' || kind === 'course_set' ? { ...state, ...body } : state;
  },
};
