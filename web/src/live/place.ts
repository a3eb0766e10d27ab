import type { Entry, PlaceView } from '../api/shapes';
import type { Fold } from './fold';

export type PlaceState = PlaceView;

function rule(state: PlaceState, right: string, allow: boolean, person?: string): PlaceState {
  const { for_all, exceptions, by_step } = state.rules;
  const others = exceptions.filter((row) => row.right !== right || (person && row.person !== person));
  if (!person) {
    const by_hand = by_step.filter((brought) => brought !== right);
    return { ...state, rules: { for_all: { ...for_all, [right]: allow }, exceptions: others, by_step: by_hand } };
  }
  const own = allow === for_all[right] ? [] : [{ right, person, allow }];
  return { ...state, rules: { for_all, exceptions: [...others, ...own], by_step } };
}

/** What a step brings with it. */
function bring(state: PlaceState, brought: Record<string, boolean>): PlaceState {
  const { for_all, exceptions, by_step } = state.rules;
  return {
    ...state,
    rules: {
      for_all: { ...for_all, ...brought },
      exceptions: exceptions.filter(({ right }) => !(right in brought)),
      by_step: [...new Set([...by_step, ...Object.keys(brought)])],
    },
  };
}

const without = (hosts: PlaceState['hosts'], id: string) => hosts.filter((host) => host.id !== id);

const quiet = ({ signals }: PlaceState, people: string[]) => signals.filter(({ person }) => !people.includes(person));

/** A room that opens begins with nobody waiting for anything. */
const ANEW = {
  call: null,
  timer: null,
  floor: null,
  screen: null,
  clip: null,
  large: null,
  captions: [],
  announced: [],
  signals: [],
  hands: [],
};

/** What comes on the paper later lies in front. */
const behind = ({ screen, clip }: PlaceState, ...what: ('screen' | 'clip')[]) => ({
  ...(what.includes('screen') && { screen: screen && { ...screen, front: false } }),
  ...(what.includes('clip') && { clip: clip && { ...clip, front: false } }),
});

/** @returns ms into a clip at a time of day in ms, as the core has it */
export function clipPosition(clip: NonNullable<PlaceState['clip']>, now: number): number {
  let at = clip.at + (clip.playing ? Math.floor((now - clip.since) * clip.speed) : 0);
  const [from, to] = clip.loop ?? [0, 0];
  if (clip.loop && at >= to && clip.at < to) at = from + ((at - from) % (to - from));
  return Math.min(Math.max(at, 0), clip.length);
}

/** What was said to all rooms that is kept. */
const ANNOUNCED = 20;
/** Lines of a caption that whoever comes late still reads. */
const CAPTIONS = 3;

/** Follows one place of a class. */
export const placeFold: Fold<PlaceState> = {
  from: (view) => view as PlaceState,
  apply(state, { kind, body, by, at }: Entry) {
    switch (kind) {
      case 'shown':
        return {
          ...state,
          shown: body.board && body.page ? { board: body.board, page: body.page } : null,
          // What comes last is in front.
          ...behind(state, 'screen', 'clip'),
        };
      case 'screen_on':
        return {
          ...state,
          ...behind(state, 'clip'),
          screen: { person: by, name: body.name, since: at, paused: false, front: true },
        };
      case 'screen_off':
        return { ...state, screen: null };
      case 'screen_paused':
        return {
          ...state,
          ...behind(state, 'clip'),
          screen: state.screen && { ...state.screen, paused: body.on, front: true },
        };
      case 'clip_on':
        return {
          ...state,
          ...behind(state, 'screen'),
          clip: { ...body, playing: true, at: 0, since: at, speed: 1, loop: null, front: true },
        };
      case 'clip_set':
        return {
          ...state,
          ...behind(state, 'screen'),
          clip: state.clip && { ...state.clip, ...body, since: at, front: true },
        };
      case 'clip_off':
        return { ...state, clip: null };
      case 'captioned': {
        const { id, words, lang } = body;
        return { ...state, captions: [...state.captions, { id, words, lang, by, at }].slice(-CAPTIONS) };
      }
      case 'made_large':
        return { ...state, large: body.person };
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
        return bring(state, body.rules);
      case 'floor_lent':
        return { ...state, floor: { person: body.person, with: body.with ?? [], since: at, until: body.until } };
      case 'floor_back':
        return { ...state, floor: null };
      case 'signalled':
        return { ...state, signals: [...quiet(state, [by]), { person: by, signal: body.signal, at }] };
      case 'signal_off':
        return { ...state, signals: quiet(state, body.people) };
      case 'signals_cleared':
        return { ...state, signals: [] };
      case 'pairs_drawn':
        return { ...state, pairs: body };
      case 'pairs_over':
        return { ...state, pairs: null };
      case 'room_opened':
        return { ...state, room: { ...body, opened_at: at, closed: false }, ...ANEW };
      case 'room_given':
        return state.room ? { ...state, room: { ...state.room, boards: [...state.room.boards, body.board] } } : state;
      case 'room_timed':
      case 'room_named':
        return state.room ? { ...state, room: { ...state.room, ...body } } : state;
      case 'room_closed':
        return { ...state, call: null, room: state.room && { ...state.room, closed: true } };
      case 'called':
        return { ...state, call: { person: by, name: body.name, since: at } };
      case 'call_answered':
        return { ...state, call: null };
      case 'announced':
        return { ...state, announced: [...state.announced, { ...body, at }].slice(-ANNOUNCED) };
      case 'together':
        return { ...state, leader: by };
      case 'roaming':
        return { ...state, leader: null };
      case 'exchange_set':
        return { ...state, ...body };
      case 'welcomed':
        return { ...state, welcome: body };
      case 'begun':
        return { ...state, begun: true };
      case 'host_came':
        return { ...state, hosts: [...without(state.hosts, body.id), body] };
      case 'host_went':
        return { ...state, hosts: without(state.hosts, body.id) };
      default:
        return state;
    }
  },
};

/** @returns ids of those who have the floor */
export const withFloor = ({ floor }: Pick<PlaceState, 'floor'>): string[] =>
  floor ? [floor.person, ...floor.with] : [];
