import { inWords } from '../exchange/audience';
import { count } from './times';

/** People who are named; more are counted. */
const MOST_NAMED = 4;

/**
 * @param mine whether one has it oneself
 * @param others names of the others who have it
 * @returns `Farah has the floor`, `You and Jonas have the floor`, `You and 13 others have the floor`
 */
export function floorWords(mine: boolean, others: string[]): string {
  const you = mine ? ['You'] : [];
  const who =
    others.length <= MOST_NAMED
      ? [...you, ...others]
      : [...you, mine ? count(others.length, 'other') : count(others.length, 'person', 'people')];
  return `${inWords(who)} ${mine || others.length > 1 ? 'have' : 'has'} the floor`;
}
