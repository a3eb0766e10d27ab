import type { Activity, Author, Room, Seat } from '../../../api/shapes';
import { openActivity } from '../../../live/activities';
import { present, type SittingState } from '../../../live/sitting';
import { count } from '../../../parts/words/times';

/** @returns everybody who is in a place now */
export const inPlace = (sitting: SittingState, place: string): Seat[] =>
  present(sitting).filter((seat) => seat.place === place);

/** @returns sizes of rooms in words: `6 × 3`, `4·4·3·3`, or `14 rooms of 4 and 3` */
export function sizesInWords(sizes: number[]): string {
  const [most, least] = [Math.max(...sizes), Math.min(...sizes)];
  if (most === least) return `${sizes.length} × ${most}`;
  return sizes.length <= 5 ? sizes.join('·') : `${sizes.length} of ${most} and ${least}`;
}

/** How often two people sat together before, by both their ids. */
export type Met = Map<string, number>;

export const pairOf = (one: string, other: string) => (one < other ? `${one} ${other}` : `${other} ${one}`);

export const metFrom = (rows: { one: string; other: string; times: number }[]): Met =>
  new Map(rows.map(({ one, other, times }) => [pairOf(one, other), times]));

/** @returns those of a room whom somebody has sat with before */
export const metIn = (met: Met, person: string, room: Room): string[] =>
  room.people.filter((other) => other !== person && met.has(pairOf(person, other)));

/** How it stands with the rooms of a class. */
export interface Standing {
  open: Activity | undefined;
  /** Dealt, and next to be opened. */
  ready: Activity | undefined;
  /** The last whose rooms are closed. */
  made: Activity | undefined;
}

/**
 * @param step id of the one that the class is at
 * @returns what of the rooms matters now: what was dealt for another step waits until that comes, once there is something to look at
 */
export function standingOf(activities: Activity[], step: string | undefined): Standing {
  const made = activities.findLast(({ state }) => state === 'closed');
  const dealt = activities.filter(({ state }) => state === 'dealt');
  const ready = dealt.findLast((activity) => activity.step === (step ?? null)) ?? (made ? undefined : dealt.at(-1));
  return { open: openActivity(activities), ready, made };
}

/** @returns names of those who are in a class, and of those who are expected */
export const namesOf = ({ seats }: SittingState, expected: Author[] = []): Map<string, string> =>
  new Map([...expected, ...seats].map(({ id, name }) => [id, name]));

/** @returns ids of those who are in an open class now; null before that, when nobody is expected yet */
export const hereOf = (sitting: SittingState): ReadonlySet<string> | null =>
  sitting.status === 'open' ? new Set(present(sitting).map(({ id }) => id)) : null;

/** How an activity stands, in a few words. */
export const activityWords = ({ name, rooms, state }: Activity): string =>
  `${name}: ${count(rooms.length, 'room')} ${state === 'dealt' ? 'ready' : state}`;

/** How long before the end of a room's time its words change. */
export interface RoomTime {
  /** ms; negative once its time is over, null while it is held open */
  left: number | null;
  /** ms that are left to finish, once its time is over */
  finish: number | null;
  /** What is to be said of it, the same for as long as nothing new is to be said. */
  says: string | null;
}

/** @returns how much time a room has, and which warning holds */
export function timeOf(room: { ends_at: number | null; grace: number; warnings: number[] }, now: number): RoomTime {
  if (room.ends_at === null) return { left: null, finish: null, says: null };
  const left = room.ends_at - now;
  if (left <= 0)
    return {
      left,
      finish: Math.max(left + room.grace * 1000, 0),
      says: 'Finish what you are doing. You are taken back to the class.',
    };
  const warning = room.warnings.filter((seconds) => left <= seconds * 1000).at(-1);
  return { left, finish: null, says: warning === undefined ? null : `${inWords(warning)} left.` };
}

const inWords = (seconds: number) =>
  seconds % 60 === 0 && seconds > 60
    ? count(seconds / 60, 'minute')
    : seconds === 60
      ? 'One minute'
      : count(seconds, 'second');
