import type { NewMark } from '../live/board';

export type Ink = NewMark['ink'];

/** A ready tool: what it draws, in which ink and how wide (px on the page). */
export interface Stick {
  kind: 'stroke' | 'highlight';
  ink: Ink;
  width: number;
  name: string;
}

export const STICKS: Stick[] = [
  { kind: 'stroke', ink: 'slate', width: 4, name: 'Slate pen' },
  { kind: 'stroke', ink: 'brick', width: 4, name: 'Brick pen' },
  { kind: 'stroke', ink: 'lake', width: 4, name: 'Lake pen' },
  { kind: 'stroke', ink: 'moss', width: 4, name: 'Moss pen' },
  { kind: 'stroke', ink: 'plum', width: 4, name: 'Plum pen' },
  { kind: 'highlight', ink: 'umber', width: 26, name: 'Highlighter' },
];

export const INK_NAMES: Ink[] = ['slate', 'brick', 'moss', 'lake', 'plum', 'umber'];

export type Shape = 'rectangle' | 'ellipse' | 'line' | 'arrow';
export const SHAPES: { kind: Shape; name: string }[] = [
  { kind: 'rectangle', name: 'Rectangle' },
  { kind: 'ellipse', name: 'Ellipse' },
  { kind: 'line', name: 'Line' },
  { kind: 'arrow', name: 'Arrow' },
];

/** What the hand holds: a stick by its place on the ledge, a shape, text, note, pointer, or nothing. */
export type Tool =
  | { name: 'select' }
  | { name: 'point' }
  | { name: 'stick'; index: number }
  | { name: 'shape'; shape: Shape }
  | { name: 'text' }
  | { name: 'note' };

export const SELECT: Tool = { name: 'select' };
