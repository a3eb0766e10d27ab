import { FIRST_PAGE } from '../api/contracts';
import { arrange } from './activities';
import type { Entry, StaffView, Waiting } from '../api/shapes';
import { stagedPolls } from './poll';
import type { Fold } from './fold';

export type StaffState = StaffView;

/** @returns the page of a board that comes on show first */
export const firstPage = (state: StaffState, board: string) =>
  state.boards.find(({ id }) => id === board)?.first_page ?? FIRST_PAGE;

function wait(state: StaffState, row: Waiting): StaffState {
  const known = state.waiting.some(({ id }) => id === row.id);
  return {
    ...state,
    waiting: known ? state.waiting.map((one) => (one.id === row.id ? row : one)) : [...state.waiting, row],
  };
}

/** Follows what only staff know of a class. */
export const staffFold: Fold<StaffState> = {
  from: (view) => view as StaffState,
  apply(state, { kind, body, at }: Entry) {
    switch (kind) {
      case 'planned':
        return { ...state, ...(body as Pick<StaffState, 'steps' | 'boards' | 'record_from'>) };
      case 'boards':
        return { ...state, boards: body.boards as StaffState['boards'] };
      case 'waits':
        return wait(state, { ...body, since: at });
      case 'waits_no_more':
        return { ...state, waiting: state.waiting.filter(({ id }) => !body.people.includes(id)) };
      case 'removed':
        return { ...state, removed: [...state.removed.filter(({ id }) => id !== body.id), body] };
      case 'let_back':
        return { ...state, removed: state.removed.filter(({ id }) => !body.people.includes(id)) };
      case 'doors_set':
        return { ...state, each: body.each };
      case 'was_invited':
      case 'answered_invitation':
        return {
          ...state,
          invited: [...state.invited.filter(({ person }) => person !== body.person), { yes: null, ...body }],
        };
      case 'thread_begun':
        return { ...state, threads: [...state.threads, body] };
      case 'copies_given':
        return { ...state, copies: [...state.copies, ...body.copies] };
      case 'paired':
        return { ...state, paired: body };
      case 'dealt':
      case 'assigned':
      case 'room_set':
      case 'room_gone':
      case 'rooms_given':
      case 'room_shared':
      case 'rooms_opened':
      case 'rooms_closed':
        return { ...state, activities: arrange(state.activities, kind, body) };
      case 'poll_staged':
      case 'poll_opened':
      case 'poll_put_away':
        return { ...state, polls: stagedPolls(state.polls, kind, body) };
      case 'cued':
        return {
          ...state,
          cued: [...new Set([...state.cued, body.cue])],
          // What went wrong the last time is over once it is tried again.
          refused: without(state.refused, body.cue),
        };
      case 'cue_refused':
        return { ...state, refused: [...without(state.refused, body.cue), body] };
      default:
        return state;
    }
  },
};

const without = (refused: StaffView['refused'] | undefined, cue: string) =>
  (refused ?? []).filter((row) => row.cue !== cue);
