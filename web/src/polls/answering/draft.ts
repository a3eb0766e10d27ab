import { POLL_LIMITS } from '../../api/contracts';
import type { Question } from '../../api/shapes';
import { boundsOf, optionsOf } from '../words';

/** An answer while it is put together: what was chosen, in order, or written. */
export interface Draft {
  chosen: string[];
  words: string[];
  text: string;
  point: number | null;
  spot: [number, number] | null;
}

const EMPTY: Draft = { chosen: [], words: [''], text: '', point: null, spot: null };

/** What one begins with: nothing, or what one has answered. */
export function startOf({ kind }: Question, mine: unknown): Draft {
  if (mine === undefined || mine === null) return EMPTY;
  switch (kind) {
    case 'short':
    case 'number':
      return { ...EMPTY, text: String(mine) };
    case 'cloud':
      return { ...EMPTY, words: mine as string[] };
    case 'scale':
      return { ...EMPTY, point: mine as number };
    case 'spot':
      return { ...EMPTY, spot: mine as [number, number] };
    default:
      return { ...EMPTY, chosen: mine as string[] };
  }
}

const written = (words: string[]) => words.map((word) => word.trim()).filter((word) => word !== '');

/** The answer as it is sent. */
export function valueOf({ kind }: Question, draft: Draft): unknown {
  switch (kind) {
    case 'one':
    case 'yes_no':
      return draft.chosen[0];
    case 'short':
    case 'number':
      return draft.text;
    case 'cloud':
      return written(draft.words);
    case 'scale':
      return draft.point;
    case 'spot':
      return draft.spot;
    default:
      return draft.chosen;
  }
}

/** @returns whether there is something to send; whether it is an answer the server says */
export function isWhole(question: Question, draft: Draft): boolean {
  switch (question.kind) {
    case 'one':
    case 'yes_no':
      return draft.chosen.length === 1;
    case 'several':
      return draft.chosen.length >= boundsOf(question)[0];
    case 'order':
      return draft.chosen.length === optionsOf(question).length;
    case 'short':
      return draft.text.trim() !== '' && draft.text.length <= POLL_LIMITS.answer!;
    case 'number':
      return draft.text.trim() !== '';
    case 'cloud':
      return written(draft.words).length > 0;
    case 'scale':
      return draft.point !== null;
    case 'spot':
      return draft.spot !== null;
    case 'marks':
      return false;
  }
}
