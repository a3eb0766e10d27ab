import type { BoardRow, Cue, GroupPlan } from '../api/shapes';
import { newId } from '../live/LiveClient';
import { freshQuestion } from '../polls/words';
import { count, minutesAndSeconds } from '../parts/words/times';

type Boards = { id: string; name: string }[];

/** What there is to know of one kind of cue, wherever cues are named or made. */
export interface CueKind {
  /** How one adds it. */
  adding: string;
  /** What it does, in a few words. */
  name: (cue: Cue, boards: Boards) => string;
  /** A fresh one; null while there is nothing for it to do. */
  fresh: (boards: BoardRow[]) => Omit<Cue, 'id'> | null;
}

/** Every kind of cue, in the order in which they are offered. */
export const CUE_KINDS: Record<Cue['kind'], CueKind> = {
  timer: {
    adding: 'Start a timer',
    name: ({ label, seconds = 0, until_done }) =>
      `${label ? `${label}: ` : ''}timer ${minutesAndSeconds(seconds * 1000)}${until_done ? ', or until all are done' : ''}`,
    fresh: () => ({ kind: 'timer', seconds: 300 }),
  },
  show: {
    adding: 'Show another board',
    name: ({ board }, boards) => `show ${boards.find(({ id }) => id === board)?.name ?? 'a board'}`,
    fresh: ([first]) => (first ? { kind: 'show', board: first.id, page: first.first_page } : null),
  },
  hand_out: {
    adding: 'Hand a board out',
    name: ({ board }, boards) => `hand out ${boards.find(({ id }) => id === board)?.name ?? 'a board'}`,
    fresh: ([first]) => (first ? { kind: 'hand_out', board: first.id } : null),
  },
  pairs: {
    adding: 'Draw pairs',
    name: ({ size, board }, boards) =>
      `draw ${size === 3 ? 'threes' : 'pairs'}${board ? `, each with ${boards.find(({ id }) => id === board)?.name ?? 'a board'}` : ''}`,
    fresh: () => ({ kind: 'pairs', size: 2 }),
  },
  rooms: {
    adding: 'Split into rooms',
    name: ({ label, plan }) => `${label ? `${label}: ` : ''}${plan ? planWords(plan) : 'rooms'}`,
    fresh: () => ({ kind: 'rooms', plan: { by: 'size', number: 4, way: 'deal', minutes: 15 } }),
  },
  poll: {
    adding: 'Ask a poll',
    name: ({ label, question }) => `${label ? `${label}: ` : ''}poll “${question?.text || 'not written yet'}”`,
    fresh: () => ({ kind: 'poll', question: freshQuestion() }),
  },
  set: {
    adding: 'Ask several polls as one form',
    name: ({ label, questions }) => `form “${label || 'no title yet'}”, ${count(questions?.length ?? 0, 'poll')}`,
    fresh: () => ({ kind: 'set', label: '', questions: [{ id: newId(), question: freshQuestion() }] }),
  },
  clip: {
    adding: 'Play a clip',
    name: ({ label, material }) =>
      `${label ? `${label}: ` : ''}${material ? 'play a clip' : 'play a clip, not chosen yet'}`,
    fresh: () => ({ kind: 'clip' }),
  },
  record: {
    adding: 'Start recording',
    name: () => 'start recording',
    fresh: () => ({ kind: 'record' }),
  },
};

/** A group plan in a few words: `deal rooms of 4, 15 min`. */
export const planWords = ({ by, number, way, minutes }: GroupPlan): string =>
  `${WAYS[way ?? 'deal']} ${by === 'rooms' ? count(number, 'room') : `rooms of ${number}`}${minutes ? `, ${minutes} min` : ''}`;

const WAYS: Record<NonNullable<GroupPlan['way']>, string> = {
  deal: 'deal',
  hand: 'fill by hand',
  choice: 'let people choose among',
};

/** What a cue does, in a few words. */
export const cueName = (cue: Cue, boards: Boards): string => CUE_KINDS[cue.kind].name(cue, boards);
