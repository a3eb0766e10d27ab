import type { CopyRow, CopyWork, OwnView, Seat } from '../../api/shapes';
import type { PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';
import type { StaffState } from '../../live/staff';
import { inWords } from '../../parts/exchange/audience';
import { firstName } from '../../parts/words/people';
import { count } from '../../parts/words/times';

/** Somebody's copy of a board that was handed out, and how they come along with it. */
export interface Copy extends CopyRow {
  seat: Seat | undefined;
  name: string;
  /** How often they did something on it; 0 also while that is not known yet. */
  edits: number;
  /** ms since the epoch */
  at: number | null;
  hand: boolean;
  done: boolean;
}

/** Who needs a look comes first: hands, then who has not begun, then who works, longest ago first, then who is done. */
const need = ({ hand, edits, done }: Copy) => (hand ? 0 : done ? 3 : edits === 0 ? 1 : 2);

/** @returns the copies of a board, whoever needs a look first */
export function copiesOf(
  board: string,
  { sitting, staff, place, work }: { sitting: SittingState; staff: StaffState; place: PlaceState; work: CopyWork[] },
): Copy[] {
  const seats = new Map(sitting.seats.map((seat) => [seat.id, seat]));
  const works = new Map(work.map((row) => [row.board, row]));
  const done = new Set(place.signals.filter(({ signal }) => signal === 'done').map(({ person }) => person));
  return staff.copies
    .filter(({ of }) => of === board)
    .map((row) => {
      const { edits, at } = works.get(row.board) ?? { edits: 0, at: null };
      const seat = seats.get(row.person);
      const name = inWords([row.person, ...(row.with ?? [])].map((person) => seats.get(person)?.name ?? 'Somebody'));
      const hand = [row.person, ...(row.with ?? [])].some((person) => place.hands.includes(person));
      return {
        ...row,
        seat,
        name,
        edits,
        at,
        hand,
        done: [row.person, ...(row.with ?? [])].every((person) => done.has(person)),
      };
    })
    .sort(
      (one, other) => need(one) - need(other) || (one.at ?? 0) - (other.at ?? 0) || (one.name < other.name ? -1 : 1),
    );
}

/** How somebody comes along, in words: `hand up · 12 changes, 2 min ago`. */
export function copyWords({ hand, done, edits, at, seat }: Copy, now: number): string {
  const minutes = at === null ? 0 : Math.floor((now - at) / 60_000);
  const work =
    edits === 0 ? 'nothing on it yet' : `${count(edits, 'change')}, ${minutes < 1 ? 'just now' : `${minutes} min ago`}`;
  const away = seat && seat.presence !== 'here' ? 'not here' : null;
  return [hand && 'hand up', done && 'done', away, work].filter(Boolean).join(' · ');
}

/** @returns what a board is called to whoever looks at it; undefined for one that they cannot see */
export function boardNamed(
  id: string | undefined,
  {
    sitting,
    staff,
    own,
    place,
  }: {
    sitting: SittingState;
    staff?: StaffState;
    own?: Pick<OwnView, 'boards' | 'rooms'>;
    place?: PlaceState;
  },
): { id: string; name: string } | undefined {
  const known = [
    ...(staff ?? sitting).boards,
    ...(own?.boards ?? []),
    ...(place?.room?.boards ?? []),
    ...(own?.rooms ?? []).flatMap(({ boards }) => boards),
    ...(staff?.activities ?? []).flatMap(({ rooms }) => rooms.flatMap(({ boards }) => boards)),
  ].find((board) => board.id === id);
  const copy = staff?.copies.find(({ board }) => board === id);
  if (known || !copy) return known;
  const of = staff!.boards.find((board) => board.id === copy.of)?.name ?? 'a board';
  return { id: copy.board, name: `${whoseCopy(copy, sitting)}’s copy of ${of}` };
}

/** @returns those whose copy it is, as one calls them: `Farah and Jonas` */
export const whoseCopy = (copy: CopyRow, { seats }: SittingState) =>
  inWords(
    [copy.person, ...(copy.with ?? [])].map((person) =>
      firstName(seats.find((seat) => seat.id === person)?.name ?? 'Somebody'),
    ),
  );
