import type { Clash, Clashes } from '../../api/shapes';
import { grouped } from '../../parts/grouped';

/** People of one lesson that are named before only their number is told. */
const MOST_NAMED = 4;

/** @returns who would be in which other lesson, a sentence for each */
export function whoClashes({ clashes }: Pick<Clashes, 'clashes'>): string[] {
  const byLesson = grouped(clashes, ({ lesson }) => lesson?.title ?? null);
  return [...byLesson].map(([title, all]) => {
    const names = all.slice(0, MOST_NAMED).map(named);
    const rest = all.length - names.length;
    const who = listed(rest > 0 ? [...names, `${rest} more`] : names);
    const where = title === null ? 'another class' : `“${title}”`;
    return `${who} ${all.length === 1 ? 'is' : 'are'} in ${where} then.`;
  });
}

const named = ({ person, role }: Clash) => (role === 'student' ? person.name : `${person.name} (${role})`);

const listed = (words: string[]) =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
