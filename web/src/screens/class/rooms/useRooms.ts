import { useMutation, useQuery } from '@tanstack/react-query';
import { get, post } from '../../../api/http';
import type { GroupPlan, RoomPulse, RoomsOffered } from '../../../api/shapes';
import { useLive } from '../../../live/hooks';
import { newId } from '../../../live/LiveClient';
import { placeStream, sittingStream, staffStream } from '../../../live/streams';

/** How often (ms) it is asked anew how rooms come along. */
export const PULSE_EVERY = 5_000;

/** @returns what there is to choose from when a class is split; asked anew whenever `of` is another */
export const useOffered = (sitting: string, of: string) =>
  useQuery({
    queryKey: ['rooms', sitting, of],
    queryFn: () => get<RoomsOffered>(`/api/classes/${sitting}/rooms`),
    gcTime: 0,
  }).data;

/** @returns how each open room of an activity comes along */
export function usePulse(sitting: string, activity: string): RoomPulse[] {
  const { data } = useQuery({
    queryKey: ['pulse', sitting, activity],
    queryFn: () => get<{ rooms: RoomPulse[] }>(`/api/classes/${sitting}/rooms/${activity}/pulse`),
    refetchInterval: PULSE_EVERY,
    gcTime: 0,
  });
  return data?.rooms ?? NONE;
}

const NONE: RoomPulse[] = [];

/** How people are to be dealt. */
export interface Deal {
  plan: GroupPlan;
  name: string;
  step?: string | null;
  activity?: string;
  /** Fired in class, it opens what was dealt for it before. */
  cue?: string;
  earlier?: string;
}

/** What staff do with the rooms of a class. What takes a while says so; what failed is told, and nothing else has changed. */
export function useRooms(sitting: string) {
  const live = useLive();
  const path = `/api/classes/${sitting}/rooms`;
  const staff = staffStream(sitting);
  const failed = (error: Error) => live.notice('rooms', error.message);
  const deal = useMutation({ mutationFn: (wish: Deal) => post(path, wish), onError: failed });
  const open = useMutation({ mutationFn: (activity: string) => post(`${path}/${activity}/open`, {}), onError: failed });
  const add = useMutation({
    mutationFn: ({ activity, name }: { activity: string; name: string }) => post(`${path}/${activity}/rooms`, { name }),
    onError: failed,
  });
  const give = useMutation({
    mutationFn: ({ activity, board }: { activity: string; board: string }) =>
      post(`${path}/${activity}/boards`, { board }),
    onError: failed,
  });
  return {
    deal,
    open,
    add,
    /** A copy of a board for every open room. */
    give,
    /** Puts somebody into a room, or into none; `from` is the place that they are in. */
    assign: (activity: string, person: string, room: string | null, from?: string) =>
      void live.do('rooms.assign', staff, { activity, moves: [{ person, room, ...(from && { from }) }] }),
    rename: (activity: string, room: string, name: string) =>
      void live.do('rooms.rename', staff, { activity, room, name }),
    remove: (activity: string, room: string, people: string[]) =>
      void live.do('rooms.remove', staff, { activity, room, people }),
    /** Of which boards a room will have copies; null for those of the plan. */
    chooseBoards: (activity: string, room: string, from: string[] | null) =>
      void live.do('rooms.choose_boards', staff, { activity, room, from }),
    more: (activity: string, rooms: string[], seconds: number) =>
      void live.do('rooms.time', staff, { activity, rooms, more: seconds }),
    hold: (activity: string, rooms: string[]) => void live.do('rooms.time', staff, { activity, rooms, hold: true }),
    /** Their time is over; they have the grace that was planned to finish. */
    bringBack: (activity: string, rooms: string[]) => void live.do('rooms.time', staff, { activity, rooms, left: 0 }),
    announce: (activity: string, rooms: string[], words: string) =>
      live.do('rooms.announce', staff, { activity, rooms, id: newId(), words }),
    /** Whether one is heard, and one's screen seen, in every room. */
    address: (voice: boolean, screen: boolean) =>
      void live.do('rooms.address', sittingStream(sitting), { voice, screen }),
    stepIn: (to: string, from: string) => void live.do('rooms.step_in', sittingStream(sitting), { to, from }),
    go: (to: string, from: string) => void live.do('rooms.go', sittingStream(sitting), { to, from }),
    call: (room: string, on: boolean) => void live.do('room.call', placeStream(sitting, room), { on }),
    show: (room: string, board: string, page: string) =>
      void live.do('class.show', placeStream(sitting, room), { board, page }),
  };
}
