import type { OwnView } from '../api/shapes';
import type { Fold } from './fold';

export type OwnState = OwnView;

/** Follows one's own stream. */
export const ownFold: Fold<OwnState> = {
  from: (view) => view as OwnState,
  apply(state, { kind, body }) {
    switch (kind) {
      case 'placed':
        return { ...state, place: body.place, asked: null, invitation: null };
      case 'asked':
        return { ...state, asked: body };
      case 'invited':
        return { ...state, invitation: body };
      case 'invitation_answered':
        return { ...state, invitation: null };
      case 'room_kept':
        return { ...state, rooms: [...state.rooms.filter(({ room }) => room !== body.room), body] };
      case 'thread_begun':
        return { ...state, threads: [...state.threads, body] };
      case 'boards':
        return { ...state, boards: body.boards };
      case 'copy_given':
        return { ...state, copies: [...state.copies, body] };
      case 'partnered':
        return { ...state, pair: body };
      default:
        return state;
    }
  },
};
