import type { Author, ThreadRow, You } from '../../api/shapes';
import { firstName } from '../words/people';

/** Whom something one writes is for. */
export type Audience = 'everyone' | { people: string[]; staff: boolean };

/** @returns names as one says them: `Farah`, `Farah and Jonas`, `Farah, Jonas and staff` */
export function inWords(names: string[]): string {
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

/**
 * @param thread that a post is in
 * @param by who wrote the post
 * @returns whom it went to besides its author, as its reader would say it
 */
export function toWhom(thread: Pick<ThreadRow, 'people' | 'staff'>, by: string, you: You): string {
  const others = thread.people.filter(({ id }) => id !== by);
  const toYou = others.some(({ id }) => id === you.id) ? ['you'] : [];
  const rest = others.filter(({ id }) => id !== you.id).map(({ name }) => firstName(name));
  return inWords([...toYou, ...rest, ...(thread.staff ? ['staff'] : [])]);
}

/**
 * The thread that something for these people belongs in: one with the same people that would be read by the same staff.
 * @param overseen whether staff read what begins now
 */
export function threadFor(
  threads: ThreadRow[],
  to: Exclude<Audience, 'everyone'>,
  you: You,
  overseen: boolean,
): ThreadRow | undefined {
  const wanted = [...new Set([you.id, ...to.people])].sort().join();
  const staff = to.staff || overseen;
  return threads.find(
    (row) =>
      row.staff === staff &&
      row.people
        .map(({ id }) => id)
        .sort()
        .join() === wanted,
  );
}

/** @returns whom to answer when one answers in a thread: everyone in it but oneself */
export const answering = (thread: ThreadRow, you: You): Audience => ({
  people: thread.people.map(({ id }) => id).filter((id) => id !== you.id),
  staff: thread.staff,
});

/** @returns an audience in words, for the box one writes in */
export function audienceWords(to: Audience, people: Author[]): string {
  if (to === 'everyone') return 'everyone here';
  const names = to.people.map((id) => firstName(people.find((one) => one.id === id)?.name ?? 'somebody'));
  return inWords([...names, ...(to.staff ? ['staff'] : [])]);
}
