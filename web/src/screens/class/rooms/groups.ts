import type { Seat } from '../../../api/shapes';
import type { SittingState } from '../../../live/sitting';
import { MAIN } from '../../../live/streams';
import type { Group } from '../Bench';
import { openRooms } from '../../../live/sitting';
import { inPlace } from './rooms';

/** @returns who sits on the bench: those of one's place; and for staff in the main room, those of every room that is open, by room */
export function groupsOf(sitting: SittingState, at: string, seats: Seat[], staff: boolean): Group[] {
  const rooms = at === MAIN && staff ? openRooms(sitting) : [];
  const here = { id: at, name: rooms.length > 0 ? 'Main room' : null, seats };
  return [here, ...rooms.map(({ id, name }) => ({ id, name, seats: inPlace(sitting, id) }))];
}
