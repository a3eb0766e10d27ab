import type { Activity, Entry, Room } from '../api/shapes';

type Kind =
  'dealt' | 'assigned' | 'room_set' | 'room_gone' | 'rooms_given' | 'room_shared' | 'rooms_opened' | 'rooms_closed';
type Bodies = { [K in Kind]: Extract<Entry, { kind: K }>['body'] };

/** Follows the activities of a class, as `Core::Rooms::Activities` does. */
export function arrange<K extends Kind>(activities: Activity[], kind: K, body: Bodies[K]): Activity[] {
  return STEPS[kind](activities, body);
}

const change = (activities: Activity[], id: string, how: (activity: Activity) => Activity) =>
  activities.map((activity) => (activity.id === id ? how(activity) : activity));

const eachRoom = (activities: Activity[], id: string, how: (room: Room) => Room) =>
  change(activities, id, (activity) => ({ ...activity, rooms: activity.rooms.map(how) }));

const STEPS: { [K in Kind]: (activities: Activity[], body: Bodies[K]) => Activity[] } = {
  dealt: (activities, body) => [
    ...activities.filter(({ id }) => id !== body.id),
    {
      ...body,
      state: 'dealt',
      ask_until: null,
      out: [],
      rooms: body.rooms.map((room) => ({ boards: [], sat: [], ...room, open: false })),
    },
  ],
  assigned: (activities, { activity, moves }) =>
    change(activities, activity, (row) => moves.reduce((so_far, move) => assign(so_far, move.person, move.room), row)),
  room_set: (activities, body) => change(activities, body.activity, (row) => ({ ...row, rooms: set(row, body) })),
  room_gone: (activities, body) =>
    change(activities, body.activity, (row) => ({ ...row, rooms: row.rooms.filter(({ id }) => id !== body.room) })),
  rooms_given: (activities, { activity, rooms }) => {
    const given = new Map(rooms.map(({ id, board }) => [id, board]));
    return eachRoom(activities, activity, (room) =>
      given.has(room.id) ? { ...room, boards: [...room.boards, given.get(room.id)!] } : room,
    );
  },
  room_shared: (activities, body) =>
    eachRoom(activities, body.activity, (room) => (room.id === body.room ? { ...room, shared: body.on } : room)),
  rooms_opened: (activities, body) => {
    if (!('ask_until' in body)) return activities;
    const boards = new Map(body.rooms.map((room) => [room.id, room.boards]));
    return change(activities, body.activity, (row) => ({
      ...row,
      state: 'open',
      ask_until: body.ask_until,
      rooms: row.rooms.map((room) => ({ ...room, open: true, boards: boards.get(room.id) ?? room.boards })),
    }));
  },
  rooms_closed: (activities, body) => {
    const sat = new Map((body.rooms as { id: string; sat: string[] }[]).map((room) => [room.id, room.sat]));
    return change(activities, body.activity, (row) => {
      const rooms = row.rooms.map((room) =>
        sat.has(room.id) ? { ...room, open: false, sat: [...new Set([...room.sat, ...sat.get(room.id)!])] } : room,
      );
      return { ...row, rooms, state: rooms.some(({ open }) => open) ? row.state : 'closed' };
    });
  },
};

function assign(activity: Activity, person: string, to: string | null): Activity {
  const out = activity.out.filter((id) => id !== person);
  return {
    ...activity,
    out: to ? out : [...out, person],
    rooms: activity.rooms.map((room) => {
      const others = room.people.filter((id) => id !== person);
      return { ...room, people: room.id === to ? [...others, person] : others };
    }),
  };
}

function set(activity: Activity, { room: id, name, from, boards = [] }: Bodies['room_set']): Room[] {
  const known = activity.rooms.find((room) => room.id === id);
  if (!known) return [...activity.rooms, { id, name, people: [], boards, sat: [], open: activity.state === 'open' }];
  const changed = { ...known, name, ...(from !== undefined && { from }) };
  return activity.rooms.map((room) => (room === known ? changed : room));
}

/** @returns the activity whose rooms are open */
export const openActivity = (activities: Activity[]) => activities.find(({ state }) => state === 'open');
