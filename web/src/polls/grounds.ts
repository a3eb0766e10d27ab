import { createContext, useContext, useSyncExternalStore } from 'react';
import type { BoardState } from '../live/board';
import { boardStream } from '../live/streams';

/** What knows boards as they are at the moment that a page shows: a live connection, or a recording as it plays. */
export interface Grounds {
  subscribe: (listener: () => void) => () => void;
  view: <State>(stream: string) => State | undefined;
}

/** Where polls look up the boards that they are about. A page without it has none of them. */
export const GroundsContext = createContext<Grounds | null>(null);

const never = () => () => {};

/** @returns a board that a poll is about, at the moment that is shown; undefined where it is not open to whoever looks */
export function useGround(board: string): BoardState | undefined {
  const grounds = useContext(GroundsContext);
  return useSyncExternalStore(grounds?.subscribe ?? never, () => grounds?.view<BoardState>(boardStream(board)));
}
