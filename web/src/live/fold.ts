import type { Entry } from './protocol';

/**
 * How a kind of stream becomes state in the browser: what the server's view looks like here, and
 * what one entry changes. States are never changed in place, so that React sees what is new.
 */
export interface Fold<State> {
  from(view: unknown): State;
  apply(state: State, entry: Entry): State;
}
