import { FIRST_PAGE } from '../api/contracts';
import type { Cue } from '../api/resources';
import type { Fold } from './fold';
import type { Entry } from './protocol';

export interface Seat {
  id: string;
  name: string;
  role: string;
  presence: 'here' | 'dropped' | 'left';
  since: number;
}

export interface SittingStep {
  id: string;
  title: string;
  minutes: number;
  shortest: number;
  board: string | null;
  material?: string | null;
  rules?: Record<string, boolean> | null;
  cues?: Cue[];
}

export interface SittingState {
  id: string;
  title: string;
  course: string;
  starts_at: number;
  minutes: number;
  steps: SittingStep[];
  boards: { id: string; name: string; audience: string; first_page?: string }[];
  rehearsal: boolean;
  status: 'planned' | 'open' | 'ended';
  opened_at: number | null;
  ended_at: number | null;
  moves: { step: string; at: number }[];
  shown: { board: string; page: string } | null;
  hands: string[];
  stretches: { from: number; to: number | null }[];
  timer: { ends_at: number; label?: string | null } | null;
  /** Ids of the cues that were fired. */
  cued: string[];
  seats: Seat[];
  rules: { for_all: Record<string, boolean>; exceptions: { right: string; person: string; allow: boolean }[] };
}

/** @returns the step the class is at */
export function currentStep(state: SittingState): SittingStep | undefined {
  const move = state.moves.at(-1);
  return move && state.steps.find((step) => step.id === move.step);
}

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

function rule(state: SittingState, body: Entry['body']): SittingState {
  const { right, allow, person } = body as { right: string; allow: boolean; person?: string };
  const { for_all, exceptions } = state.rules;
  const others = exceptions.filter((row) => row.right !== right || (person && row.person !== person));
  if (!person) return { ...state, rules: { for_all: { ...for_all, [right]: allow }, exceptions: others } };
  const own = allow === for_all[right] ? [] : [{ right, person, allow }];
  return { ...state, rules: { for_all, exceptions: [...others, ...own] } };
}

const firstPage = (state: SittingState, board: string) =>
  state.boards.find(({ id }) => id === board)?.first_page ?? FIRST_PAGE;

function cue(state: SittingState, { body, at }: Entry): SittingState {
  const fired = { ...state, cued: [...new Set([...state.cued, body.cue as string])] };
  if (body.kind === 'show') return { ...fired, shown: { board: body.board as string, page: body.page as string } };
  if (body.kind === 'timer')
    return { ...fired, timer: { ends_at: body.ends_at as number, label: body.label as string | undefined } };
  return body.kind === 'record' ? record(fired, true, at) : fired;
}

function move(state: SittingState, entry: Entry): SittingState {
  const step = state.steps.find((candidate) => candidate.id === entry.body.step);
  const ruled = Object.entries(step?.rules ?? {}).reduce(
    (so_far, [right, allow]) => rule(so_far, { right, allow }),
    state,
  );
  const moved = {
    ...ruled,
    moves: [...state.moves, { step: entry.body.step as string, at: entry.at }],
    shown: step?.board ? { board: step.board, page: firstPage(state, step.board) } : state.shown,
  };
  return entry.body.record ? record(moved, true, entry.at) : moved;
}

const changes: Record<string, (state: SittingState, entry: Entry) => SittingState> = {
  planned: (state, { body }) => ({ ...state, ...(body as unknown as SittingState) }),
  opened: (state, { at }) => ({ ...state, status: 'open', opened_at: at }),
  ended: (state, { at }) => record({ ...state, status: 'ended', ended_at: at }, false, at),
  joined: (state, { by, at, body }) => {
    const seat: Seat = { id: by, name: body.name as string, role: body.role as string, presence: 'here', since: at };
    const known = state.seats.some(({ id }) => id === by);
    return known ? withSeat(state, by, seat) : { ...state, seats: [...state.seats, seat] };
  },
  dropped: (state, { by, at }) => withSeat(state, by, { presence: 'dropped', since: at }),
  left: (state, { by, at }) => ({
    ...withSeat(state, by, { presence: 'left', since: at }),
    hands: state.hands.filter((id) => id !== by),
  }),
  moved: move,
  shown: (state, { body }) => ({ ...state, shown: body as unknown as SittingState['shown'] }),
  hand_raised: (state, { by }) => ({ ...state, hands: [...state.hands.filter((id) => id !== by), by] }),
  hand_lowered: (state, { body }) => ({ ...state, hands: state.hands.filter((id) => id !== body.person) }),
  ruled: (state, { body }) => rule(state, body),
  cued: cue,
  timer_stopped: (state) => ({ ...state, timer: null }),
  recording: (state, { body, at }) => record(state, body.on as boolean, at),
};

/** Follows the public facts of a class. */
export const sittingFold: Fold<SittingState> = {
  // Classes that were held before there were cues have none.
  from: (view) => ({ ...(view as SittingState), cued: (view as SittingState).cued ?? [] }),
  apply: (state, entry) => changes[entry.kind]?.(state, entry) ?? state,
};
