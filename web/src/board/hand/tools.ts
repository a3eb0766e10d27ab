import type { NewMark } from '../../live/board';

export type Shape = 'rectangle' | 'ellipse' | 'line' | 'arrow' | 'polygon';
export const SHAPES: { kind: Shape; name: string }[] = [
  { kind: 'rectangle', name: 'Rectangle' },
  { kind: 'ellipse', name: 'Ellipse' },
  { kind: 'line', name: 'Line' },
  { kind: 'arrow', name: 'Arrow' },
  { kind: 'polygon', name: 'Polygon' },
];

export type Sign = NonNullable<NewMark['sign']>;
export const SIGNS: { sign: Sign; name: string }[] = [
  { sign: 'tick', name: 'Tick' },
  { sign: 'cross', name: 'Cross' },
  { sign: 'arrow', name: 'Arrow mark' },
];
export const SIGN_SIZE = 56;

/** What the hand holds: a stick by its place on the ledge, a shape, text, note, sign, eraser, pointer, or nothing. */
export type Tool =
  | { name: 'select' }
  | { name: 'point' }
  | { name: 'stick'; index: number }
  | { name: 'shape'; shape: Shape }
  | { name: 'sign'; sign: Sign }
  | { name: 'erase' }
  | { name: 'text' }
  | { name: 'note' };

export const SELECT: Tool = { name: 'select' };

export const CURSORS: Record<Tool['name'], string> = {
  select: 'default',
  point: 'none',
  text: 'text',
  note: 'copy',
  sign: 'copy',
  erase: 'cell',
  stick: 'crosshair',
  shape: 'crosshair',
};
