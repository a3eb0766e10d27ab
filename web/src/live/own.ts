import type { OwnView } from '../api/shapes';
import type { Fold } from './fold';

export type OwnState = OwnView;

/** Follows one's own stream. */
export const ownFold: Fold<OwnState> = {
  from: (view) => view as OwnState,
  apply: (state, { kind, body }) => (kind === 'placed' ? { ...state, place: body.place } : state),
};
