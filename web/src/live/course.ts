import type { CourseView, Entry, Series } from '../api/shapes';
import type { Fold } from './fold';

export type CourseState = CourseView;

/** Follows what a course is called and keeps, as `Core::Courses::Course` does. */
export const courseFold: Fold<CourseState> = {
  from: (view) => view as CourseState,
  apply(state, { kind, body }: Entry) {
    if (kind === 'series_set') return { ...state, series: placed(state.series, body as unknown as Series) };
    return kind === 'course_begun' || kind === 'course_set' ? { ...state, ...body } : state;
  },
};

/** @returns the series with one of them as it is now, each in its place */
const placed = (all: Series[], one: Series) =>
  all.some(({ id }) => id === one.id) ? all.map((series) => (series.id === one.id ? one : series)) : [...all, one];
