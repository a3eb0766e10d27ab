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

/** @returns breakout rooms that are open, in their order */
export const openRooms = ({ places }: SittingState) => places.filter(({ activity }) => activity);

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

type Opened = Extract<Extract<Entry, { kind: 'rooms_opened' }>['body'], { name: string }>;

/** Rooms are places for as long as they are open. */
function openAll(state: SittingState, { activity, name, step, rooms, free, named }: Opened, at: number): SittingState {
  const row = { id: activity, name, step, rooms, free, named, opened_at: at, closed_at: null };
  return {
    ...state,
    places: [...state.places, ...rooms.map((room) => ({ ...room, activity }))],
    activities: [...state.activities.filter(({ id }) => id !== activity), row],
  };
}

function nameRoom(state: SittingState, { activity, room, name }: { activity: string; room: string; name: string }) {
  const set = <Row extends { id: string; name: string }>(rows: Row[], row: Row) =>
    rows.some(({ id }) => id === row.id) ? rows.map((one) => (one.id === row.id ? row : one)) : [...rows, row];
  return {
    ...state,
    places: set(state.places, { id: room, name, activity }),
    activities: state.activities.map((one) =>
      one.id === activity ? { ...one, rooms: set(one.rooms, { id: room, name }) } : one,
    ),
  };
}

/** Whoever speaks to all rooms does so from the main room. */
const withoutAddress = (state: SittingState, gone: string[]): SittingState =>
  state.address && gone.includes(state.address.person) ? { ...state, address: null } : state;

function closeRooms(state: SittingState, activity: string, rooms: string[], at: number): SittingState {
  const places = state.places.filter(({ id }) => !rooms.includes(id));
  const over = !places.some((place) => place.activity === activity);
  return {
    ...state,
    places,
    address: over ? null : state.address,
    activities: over
      ? state.activities.map((one) => (one.id === activity ? { ...one, closed_at: at } : one))
      : state.activities,
  };
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
        return record({ ...state, status: 'ended', ended_at: at, address: null }, false, at);
      case 'joined':
        return body.people.reduce(
          (so_far, person) => seat(so_far, { ...person, place: body.place, presence: 'here', since: at }),
          state,
        );
      case 'seated':
        return withoutAddress(
          body.people.reduce((so_far, id) => withSeat(so_far, id, { place: body.place }), state),
          body.people,
        );
      case 'out':
        return withoutAddress(
          body.people.reduce((so_far, id) => withSeat(so_far, id, { presence: 'out', since: at }), state),
          body.people,
        );
      case 'dropped':
        return withoutAddress(withSeat(state, by, { presence: 'dropped', since: at }), [by]);
      case 'left':
        return withoutAddress(withSeat(state, by, { presence: 'left', since: at }), [by]);
      case 'addressed':
        return { ...state, address: { ...body, person: by, since: at } };
      case 'address_over':
        return { ...state, address: null };
      case 'moved':
        return { ...state, moves: [...state.moves, { step: body.step, at }] };
      case 'handed_out':
        return { ...state, handed: [...state.handed, body.board] };
      case 'gathered_in':
        return { ...state, handed: state.handed.filter((board) => board !== body.board) };
      case 'rooms_opened':
        return 'name' in body ? openAll(state, body, at) : state;
      case 'room_set':
        return nameRoom(state, body);
      case 'rooms_closed':
        return closeRooms(state, body.activity, body.rooms as string[], at);
      case 'recording':
        return record(state, body.on, at);
      default:
        return state;
    }
  },
};
