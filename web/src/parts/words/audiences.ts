import type { BoardRow } from '../../api/shapes';

/** Who sees a board, and when: what one chooses among. */
export const ACCESS = [
  ['staff', 'Instructors and assistants'],
  ['people', 'Some students, chosen by name'],
  ['closed', 'Students, in class only'],
  ['read', 'Students, reading it at any time'],
  ['work', 'Students, working on it at any time'],
] as const;
export type Access = (typeof ACCESS)[number][0];

type Audience = Pick<BoardRow, 'audience' | 'outside'>;

export const accessOf = ({ audience, outside }: Audience): Access => (audience === 'everyone' ? outside : audience);

/** @returns what changes when somebody chooses */
export const changedTo = (access: Access): Partial<Audience> =>
  access === 'staff' || access === 'people' ? { audience: access } : { audience: 'everyone', outside: access };
