import type { Mark, Shows } from '../../api/shapes';

/** What every prop is drawn from. */
export interface PropProps {
  settings: NonNullable<Mark['settings']>;
  shows: Shows;
  ink: string;
  w: number;
  h: number;
}

export const PANEL = '#FFFDF9';
