import { PASSING_SIGNALS, SIGNALS, STAFF_SIGNALS } from '../../api/contracts';
import type { Signalled } from '../../api/shapes';

export type Signal = Signalled['signal'];

/** What each signal is called, and its key. */
const WORDS: Record<Signal, [word: string, key: string]> = {
  done: ['done', 'd'],
  yes: ['yes', 'y'],
  no: ['no', 'o'],
  slower: ['slower', '-'],
  faster: ['faster', '+'],
  back_soon: ['back soon', 'b'],
  clap: ['clap', 'c'],
};

export const signalWord = (signal: Signal) => WORDS[signal][0];
export const signalKey = (signal: Signal) => WORDS[signal][1];

/** Those that somebody may give. */
export const signalsFor = (staff: boolean) => (staff ? STAFF_SIGNALS : SIGNALS) as readonly Signal[];

/** Those that are still seen at a time by the server's clock. */
export const seen = (signals: readonly Signalled[], now: number) =>
  signals.filter(({ signal, at }) => now - at < (PASSING_SIGNALS[signal] ?? Infinity));
