import type { NewMark } from '../../live/board';

export type PropKind = NonNullable<NewMark['prop']>;

/** Every kind of prop with its name. */
export const PROPS: [PropKind, string][] = [
  ['dice', 'Dice'],
  ['spinner', 'Spinner'],
  ['counter', 'Counter'],
  ['timer', 'Timer'],
  ['picker', 'Name picker'],
];
