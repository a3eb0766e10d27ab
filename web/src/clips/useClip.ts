import { post } from '../api/http';
import type { Clip } from '../api/shapes';
import { useLive, useSitting } from '../live/hooks';
import { clipPosition, type PlaceState } from '../live/place';
import { MAIN, partOf, sittingOf } from '../live/streams';
import { openRooms } from '../live/sitting';

export const SPEEDS = [0.5, 0.75, 1, 1.25, 1.5, 2] as const;
export type Speed = (typeof SPEEDS)[number];

/** What staff do with what plays for everybody in a place; from the main room, in every room where it plays too. */
export function useClip(place: PlaceState, room: string) {
  const live = useLive();
  const sitting = useSitting(sittingOf(room));
  const rooms = partOf(room) === MAIN && sitting ? openRooms(sitting).map(({ id }) => id) : [];
  const { clip } = place;
  const now = () => (clip ? clipPosition(clip, Date.now() + live.skew) : 0);
  const set = (wish: { playing?: boolean; at?: number; speed?: Speed; loop?: [number, number] | null; off?: true }) =>
    clip &&
    void live.do('class.set_clip', room, { material: clip.material, ...wish, ...(rooms.length > 0 && { rooms }) });
  return {
    clip,
    /** ms into it, by the server's clock */
    now,
    set,
    /** Plays, or holds; what has come to its end begins again. */
    toggle: () => clip && set({ playing: !plays(clip, now()), ...(now() >= clip.length && { at: 0 }) }),
    /** Whether it could play in rooms too. */
    rooms: rooms.length > 0,
    put: (material: string, everywhere: boolean) =>
      void post(`/api/classes/${sittingOf(room)}/places/${partOf(room)}/clip`, { material, rooms: everywhere }).catch(
        (error: Error) => live.notice('clip', error.message),
      ),
  };
}

/** Whether a clip moves, with where it stands. */
export const plays = ({ playing, length }: Clip, at: number) => playing && at < length;

/** @returns address of what plays in a place */
export const clipFile = ({ address, material, version }: Clip, room: string) =>
  address ?? `/api/classes/${sittingOf(room)}/places/${partOf(room)}/clip/${material}/${version}`;
