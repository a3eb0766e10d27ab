import { inWords } from '../exchange/audience';

/**
 * @param mine whether one has it oneself
 * @param others names of the others who have it
 * @returns `Farah has the floor`, `You and Jonas have the floor`
 */
export const floorWords = (mine: boolean, others: string[]): string =>
  `${inWords([...(mine ? ['You'] : []), ...others])} ${mine || others.length > 1 ? 'have' : 'has'} the floor`;
