import type { Stick } from '../../api/shapes';
import type { NewMark } from '../../live/board';

export type Ink = NewMark['ink'];

/** What everybody begins with; each person may make these their own. */
export const STICKS: Stick[] = [
  { kind: 'stroke', ink: 'slate', width: 4 },
  { kind: 'stroke', ink: 'brick', width: 4 },
  { kind: 'stroke', ink: 'lake', width: 4 },
  { kind: 'stroke', ink: 'moss', width: 4 },
  { kind: 'stroke', ink: 'plum', width: 4 },
  { kind: 'highlight', ink: 'umber', width: 26 },
];

export const INK_NAMES: Ink[] = ['slate', 'brick', 'moss', 'lake', 'plum', 'umber'];
export const WIDTHS: Record<Stick['kind'], number[]> = { stroke: [2, 4, 8, 14], highlight: [18, 26, 40] };

const capital = (word: string) => word[0]!.toUpperCase() + word.slice(1);
const THICKNESS = ['fine', '', 'broad', 'very broad'];

/** "Slate pen", "Lake pen, broad", "Umber highlighter" */
export function stickName({ kind, ink, width }: Stick): string {
  if (kind === 'highlight') return `${capital(ink)} highlighter`;
  const thickness = THICKNESS[WIDTHS.stroke.indexOf(width)];
  return `${capital(ink)} pen${thickness ? `, ${thickness}` : ''}`;
}
