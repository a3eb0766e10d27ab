import type { HeardRow, Seat } from '../../api/shapes';
import type { PlaceState } from '../../live/place';
import { isStaff } from '../../parts/words/people';

/** By whom a bench begins, besides hands, which are always first. */
export type Order = 'role' | 'name' | 'heard';
/** Whom it shows. */
export type Show = 'all' | 'hands' | 'not_done' | 'away';

export interface Arrangement {
  order: Order;
  show: Show;
}

export const USUAL: Arrangement = { order: 'role', show: 'all' };

export const ORDERS: [Order, string][] = [
  ['role', 'Staff first, then by name'],
  ['name', 'By name'],
  ['heard', 'Heard least first'],
];
export const SHOWS: [Show, string][] = [
  ['all', 'Everyone'],
  ['hands', 'Hands up'],
  ['not_done', 'Not done yet'],
  ['away', 'Away'],
];

const ROLES = ['instructor', 'assistant'];

/**
 * Everyone who is to be shown, hands first: in the order of asking, or whoever was heard least first.
 * @param heard whoever was heard least and longest ago first; undefined while that is not known
 */
export function arranged(seats: Seat[], place: PlaceState, { order, show }: Arrangement, heard?: HeardRow[]): Seat[] {
  const least = new Map(heard?.map(({ person }, index) => [person, index]));
  const byHeard = ({ id }: Seat) => (order === 'heard' ? (least.get(id) ?? Infinity) : 0);
  const hand = (seat: Seat) => {
    const place_in_line = place.hands.indexOf(seat.id);
    if (place_in_line < 0) return Infinity;
    return order === 'heard' && !isStaff(seat) ? 0 : place_in_line;
  };
  const role = (seat: Seat) =>
    order === 'role' ? (ROLES.indexOf(seat.role) + ROLES.length + 1) % (ROLES.length + 1) : 0;
  const less = (one: number, other: number) => (one === other ? 0 : one - other);
  return seats
    .filter((seat) => shown(seat, place, show))
    .sort(
      (a, b) =>
        less(hand(a), hand(b)) ||
        less(role(a), role(b)) ||
        less(byHeard(a), byHeard(b)) ||
        a.name.localeCompare(b.name),
    );
}

function shown(seat: Seat, place: PlaceState, show: Show): boolean {
  switch (show) {
    case 'all':
      return true;
    case 'hands':
      return place.hands.includes(seat.id);
    case 'not_done':
      return !isStaff(seat) && !place.signals.some(({ person, signal }) => person === seat.id && signal === 'done');
    case 'away':
      return (
        seat.presence === 'dropped' ||
        place.signals.some(({ person, signal }) => person === seat.id && signal === 'back_soon')
      );
  }
}
