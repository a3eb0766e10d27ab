import { boardFold } from './board';
import { courseFold } from './course';
import { exchangeFold, threadFold } from './exchange';
import type { Fold } from './fold';
import { ownFold } from './own';
import { peopleFold } from './people';
import { placeFold } from './place';
import { planFold } from './plan';
import { pollFold } from './poll';
import { questionsFold } from './questions';
import { sittingFold } from './sitting';
import { staffFold } from './staff';
import { kindOf } from './streams';

const folds: Record<string, Fold<unknown>> = {
  board: boardFold as Fold<unknown>,
  sitting: sittingFold as Fold<unknown>,
  staff: staffFold as Fold<unknown>,
  place: placeFold as Fold<unknown>,
  exchange: exchangeFold as Fold<unknown>,
  thread: threadFold as Fold<unknown>,
  own: ownFold as Fold<unknown>,
  poll: pollFold as Fold<unknown>,
  questions: questionsFold as Fold<unknown>,
  asked: questionsFold as Fold<unknown>,
  course: courseFold as Fold<unknown>,
  people: peopleFold as Fold<unknown>,
  plan: planFold as Fold<unknown>,
};

/** A stream that this page knows nothing of is kept as it came. */
const unknownFold: Fold<unknown> = { from: (view) => view, apply: (state) => state };

/** @returns the fold for a stream by its name, `kind/id` */
export function foldOf(stream: string): Fold<unknown> {
  return folds[kindOf(stream)] ?? unknownFold;
}
