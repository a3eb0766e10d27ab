import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { get } from '../../api/http';
import type { CalendarFacts, CalendarLesson } from '../../api/shapes';

/** How often it is looked at again, ms: others plan too. */
const LOOK_AGAIN = 30_000;

/** The lessons of one's courses from one moment to another. */
export function useCalendar(from: number, to: number) {
  const queries = useQueryClient();
  const found = useQuery({
    queryKey: ['calendar', from, to],
    queryFn: () => get<CalendarFacts>(`/api/calendar?from=${from}&to=${to}`),
    refetchInterval: LOOK_AGAIN,
    placeholderData: keepPreviousData,
  });
  return {
    ...found,
    /** Asks anew what one has just changed. */
    look: () =>
      Promise.all(['calendar', 'desk', 'lesson'].map((key) => queries.invalidateQueries({ queryKey: [key] }))),
  };
}

export const teaches = ({ role }: Pick<CalendarLesson, 'role'>) => role !== 'student';

/** One's own part in a lesson, as one says it. */
export const partOf = ({ role, held }: Pick<CalendarLesson, 'role' | 'held'>) =>
  role === 'student'
    ? held
      ? 'you attended'
      : 'you attend'
    : role === 'assistant'
      ? 'you assist'
      : held
        ? 'you taught'
        : 'you teach';

/** Whether it can be put elsewhere by whoever looks. */
export const movable = (lesson: CalendarLesson) => teaches(lesson) && !lesson.held && !lesson.cancelled;
