import { createContext } from 'react';

/** The time of day on a board, ms since the epoch: that of the class where a recording is watched. */
export const BoardClock = createContext<() => number>(Date.now);
