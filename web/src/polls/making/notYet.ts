import type { Question } from '../../api/shapes';
import { hasOptions } from '../words';

const blank = (text: string | undefined) => !text?.trim();

/**
 * As `Core::Polls::Doubts` has what keeps a question from being opened, but for what takes comparing words.
 * @returns what is still to be done before it can be opened; null once there is nothing
 */
export function notYet(question: Question): string | null {
  const { kind, text, options = [], picture, board, page, regions = [], low, high } = question;
  if (blank(text)) return 'This poll asks nothing yet. Write the question.';
  if (hasOptions(kind)) return choices(options) ?? wanted(question);
  if (kind === 'number' && low !== undefined && high !== undefined && low > high)
    return `No number is between ${low} and ${high}.`;
  if (kind === 'spot' && !picture && !board) return 'There is nothing to mark a spot on. Choose a picture or a board.';
  if (kind !== 'marks') return null;
  if (!board || !page) return 'There is no board on which marks are counted. Choose one.';
  if (regions.length < 2) return 'Marks are counted in two regions at least. Draw them.';
  return regions.some((region) => blank(region.text)) ? 'One of the regions has no name.' : null;
}

function choices(options: NonNullable<Question['options']>): string | null {
  if (options.length < 2) return 'This poll needs two options at least.';
  const empty = options.some((option) => blank(option.text) && !option.picture);
  return empty ? 'One of the options is empty. Write it or take it out.' : null;
}

function wanted({ kind, options = [], fewest, most }: Question): string | null {
  if (kind !== 'several') return null;
  const [few, many] = [fewest ?? 1, Math.min(most ?? options.length, options.length)];
  return few > many ? `One cannot choose ${few} of ${many} at most.` : null;
}
