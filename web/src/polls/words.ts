import { POLL_LIMITS } from '../api/contracts';
import type { Question } from '../api/shapes';
import { count } from '../parts/words/times';

export type PollKind = Question['kind'];

/** What each kind of poll asks of whoever answers. */
export const KIND_WORDS: Record<PollKind, string> = {
  one: 'choose one',
  several: 'choose several',
  yes_no: 'yes or no',
  short: 'short answer',
  cloud: 'words for a cloud',
  scale: 'scale',
  order: 'put in order',
  number: 'number',
  spot: 'mark a spot',
  marks: 'put marks on a board',
};

export const freshQuestion = (kind: PollKind = 'one'): Question => ({
  kind,
  text: '',
  ...(hasOptions(kind) && {
    options: [
      { id: 'a', text: '' },
      { id: 'b', text: '' },
    ],
  }),
});

/** @returns whether options are written for it */
export const hasOptions = (kind: PollKind) => ['one', 'several', 'order'].includes(kind);
export const isWritten = (kind: PollKind) => kind === 'short' || kind === 'cloud';
/** @returns whether staff never learn who answered what */
export const nameless = (question: Pick<Question, 'names'>) => question.names === false;

const YES_NO = [
  { id: 'yes', text: 'Yes' },
  { id: 'no', text: 'No' },
];

/** @returns options, also those that a kind always has */
export const optionsOf = (question: Question): NonNullable<Question['options']> =>
  question.kind === 'yes_no' ? YES_NO : question.kind === 'marks' ? (question.regions ?? []) : (question.options ?? []);

/** @returns how many options one chooses at least and at most */
export function boundsOf(question: Question): [number, number] {
  const all = optionsOf(question).length;
  return question.kind === 'several' ? [question.fewest ?? 1, Math.min(question.most ?? all, all)] : [1, 1];
}

export const pointsOf = (question: Question) => question.points ?? POLL_LIMITS.points!;

/** What whoever answers is told beforehand. */
export function termsOf(question: Question): string[] {
  const shown = { never: 'results stay with staff', after: 'results after you answer', shown: null };
  return [
    nameless(question) ? 'no names: nobody learns who answered what' : 'staff see your name with your answer',
    question.change === false ? 'your first answer stays' : null,
    shown[question.results ?? 'shown'],
  ].filter((words) => words !== null);
}

/** What one has to do, in a few words. */
export function taskOf(question: Question): string {
  const [few, many] = boundsOf(question);
  switch (question.kind) {
    case 'several':
      return few === many
        ? `Choose ${few}`
        : many < optionsOf(question).length
          ? `Choose ${few} to ${many}`
          : `Choose ${few > 1 ? `${few} or more` : 'all that apply'}`;
    case 'order':
      return 'Tap them in order, the first one first';
    case 'short':
      return 'Write a short answer';
    case 'cloud':
      return `Write up to ${POLL_LIMITS.words} words`;
    case 'scale':
      return `From 1 to ${pointsOf(question)}`;
    case 'number':
      return `Write a number${question.unit ? ` in ${question.unit}` : ''}`;
    case 'spot':
      return 'Mark a spot on the picture';
    case 'marks':
      return `Put ${question.most === 1 ? 'one mark' : question.most ? `up to ${question.most} marks` : 'marks'} into the regions on the board: a tick, a cross, a counter, a note or a word`;
    default:
      return 'Choose one';
  }
}

/** An answer as people read it. */
export function answerWords(question: Question, value: unknown): string {
  const text = (id: unknown) => optionsOf(question).find((option) => option.id === id)?.text ?? String(id);
  if (question.kind === 'spot') return 'your spot';
  if (question.kind === 'number') return `${String(value)}${question.unit ? ` ${question.unit}` : ''}`;
  return Array.isArray(value) ? value.map(text).join(', ') : String(value);
}

export const people = (n: number) => count(n, 'person', 'people');
/** @returns a share as people read it, `45 %` */
export const percent = (share: number) => `${Math.round(share * 100)} %`;
