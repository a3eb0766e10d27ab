import type { Entry } from '../api/shapes';
import type { Pending } from './pending';

/**
 * How a kind of stream becomes state in the browser: what the server's view looks like here, and
 * what one entry changes. States are never changed in place, so that React sees what is new.
 */
export interface Fold<State> {
  from(view: unknown): State;
  apply(state: State, entry: Entry): State;
  /**
   * What an own command makes of it before the server has answered. Only what needs no decision is shown early; what only the server
   * can know waits for it.
   */
  early?(state: State, command: Pending, by: Author): State;
}

/** Whose command it is. */
export interface Author {
  id: string;
  name: string;
}
