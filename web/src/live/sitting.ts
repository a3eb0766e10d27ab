import type { Entry, Seat, SittingStep, SittingView } from '../api/shapes';
import type { Fold } from './fold';

export type SittingState = SittingView;

/** @returns the step the class is at */
export function currentStep(state: SittingState): SittingStep | undefined {
  const move = state.moves.at(-1);
  return move && state.steps.find((step) => step.id === move.step);
}

/** @returns those who are in, though perhaps cut off for a moment */
export const present = ({ seats }: SittingState) =>
  seats.filter(({ presence }) => presence === 'here' || presence === 'dropped');

export const isRecording = (state: SittingState) => state.stretches.length > 0 && state.stretches.at(-1)!.to === null;

const withSeat = (state: SittingState, id: string, change: Partial<Seat>): SittingState => ({
  ...state,
  seats: state.seats.map((seat) => (seat.id === id ? { ...seat, ...change } : seat)),
});

function record(state: SittingState, on: boolean, at: number): SittingState {
  if (on === isRecording(state)) return state;
  if (on) return { ...state, stretches: [...state.stretches, { from: at, to: null }] };
  return { ...state, stretches: state.stretches.with(-1, { ...state.stretches.at(-1)!, to: at }) };
}

/** Somebody comes in; or back, and then to where they were. */
function seat(state: SittingState, row: Seat): SittingState {
  const known = state.seats.some(({ id }) => id === row.id);
  return known ? withSeat(state, row.id, row) : { ...state, seats: [...state.seats, row] };
}

/** Follows what concerns the whole class. */
export const sittingFold: Fold<SittingState> = {
  from: (view) => view as SittingState,
  apply(state, { kind, body, by, at }: Entry) {
    switch (kind) {
      case 'planned':
        return { ...state, ...(body as Partial<SittingState>) };
      case 'boards':
        return { ...state, boards: body.boards };
      case 'opened':
        return { ...state, status: 'open', opened_at: at };
      case 'ended':
        return record({ ...state, status: 'ended', ended_at: at }, false, at);
      case 'joined':
        return body.people.reduce(
          (so_far, person) => seat(so_far, { ...person, place: body.place, presence: 'here', since: at }),
          state,
        );
      case 'seated':
        return body.people.reduce((so_far, id) => withSeat(so_far, id, { place: body.place }), state);
      case 'out':
        return body.people.reduce((so_far, id) => withSeat(so_far, id, { presence: 'out', since: at }), state);
      case 'dropped':
        return withSeat(state, by, { presence: 'dropped', since: at });
      case 'left':
        return withSeat(state, by, { presence: 'left', since: at });
      case 'moved':
        return { ...state, moves: [...state.moves, { step: body.step, at }] };
      case 'handed_out':
        return { ...state, handed: [...state.handed, body.board] };
      case 'gathered_in':
        return { ...state, handed: state.handed.filter((board) => board !== body.board) };
      case 'recording':
        return record(state, body.on, at);
      default:
        return state;
    }
  },
};
