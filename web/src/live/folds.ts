import { boardFold } from './board';
import { exchangeFold } from './exchange';
import type { Fold } from './fold';
import { sittingFold } from './sitting';

const folds: Record<string, Fold<unknown>> = {
  board: boardFold as Fold<unknown>,
  sitting: sittingFold as Fold<unknown>,
  exchange: exchangeFold as Fold<unknown>,
};

/** @returns the fold for a stream by its name, `kind/id` */
export function foldOf(stream: string): Fold<unknown> {
  return folds[stream.split('/')[0]!]!;
}
