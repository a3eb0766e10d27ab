import type { Entry, PlaceView } from '../api/shapes';
import type { Fold } from './fold';

export type PlaceState = PlaceView;

function rule(state: PlaceState, right: string, allow: boolean, person?: string): PlaceState {
  const { for_all, exceptions } = state.rules;
  const others = exceptions.filter((row) => row.right !== right || (person && row.person !== person));
  if (!person) return { ...state, rules: { for_all: { ...for_all, [right]: allow }, exceptions: others } };
  const own = allow === for_all[right] ? [] : [{ right, person, allow }];
  return { ...state, rules: { for_all, exceptions: [...others, ...own] } };
}

const without = (hosts: PlaceState['hosts'], id: string) => hosts.filter((host) => host.id !== id);

/** Follows one place of a class. */
export const placeFold: Fold<PlaceState> = {
  from: (view) => view as PlaceState,
  apply(state, { kind, body, by }: Entry) {
    switch (kind) {
      case 'shown':
        return { ...state, shown: body.board && body.page ? { board: body.board, page: body.page } : null };
      case 'timer_set':
        return { ...state, timer: body };
      case 'timer_stopped':
        return { ...state, timer: null };
      case 'hand_raised':
        return { ...state, hands: [...new Set([...state.hands, by])] };
      case 'hand_lowered':
        return { ...state, hands: state.hands.filter((id) => id !== body.person) };
      case 'ruled':
        return rule(state, body.right, body.allow, body.person);
      case 'rules_set':
        return Object.entries(body.rules).reduce((so_far, [right, allow]) => rule(so_far, right, allow), state);
      case 'welcomed':
        return { ...state, welcome: body };
      case 'host_came':
        return { ...state, hosts: [...without(state.hosts, body.id), body] };
      case 'host_went':
        return { ...state, hosts: without(state.hosts, body.id) };
      default:
        return state;
    }
  },
};
