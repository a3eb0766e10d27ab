import type { Reaction } from '../../api/shapes';

export type Sign = Reaction['sign'];

/** What the signs on posts are called. */
export const SIGN_WORDS: Record<Sign, string> = { agree: 'Agree', thanks: 'Thanks', good: 'Good', puzzled: 'Puzzled' };

/** @returns how many set which sign, in the order in which the signs were first set */
export function signCounts(reactions: Reaction[]): [Sign, number][] {
  const counts = new Map<Sign, number>();
  for (const { sign } of reactions) counts.set(sign, (counts.get(sign) ?? 0) + 1);
  return [...counts];
}
