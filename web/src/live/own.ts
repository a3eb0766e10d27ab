import type { OwnView } from '../api/shapes';
import type { Fold } from './fold';

export type OwnState = OwnView;

/** Follows one's own stream. */
export const ownFold: Fold<OwnState> = {
  from: (view) => view as OwnState,
  apply(state, { kind, body }) {
    if (kind === 'placed') return { ...state, place: body.place };
    return kind === 'thread_begun' ? { ...state, threads: [...state.threads, body] } : state;
  },
};
