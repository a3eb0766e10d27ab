import { useMutation } from '@tanstack/react-query';
import { FIRST_PAGE } from '../../../api/contracts';
import { post } from '../../../api/http';
import type { Activity } from '../../../api/shapes';
import { useLive } from '../../../live/hooks';
import type { SittingState } from '../../../live/sitting';
import { MAIN, placeStream } from '../../../live/streams';
import { isStaff } from '../../../parts/words/people';
import { inPlace } from './rooms';

/** What of a room's work is chosen: some marks of a page; all of the page, without marks; the whole board, without a page. */
export interface Piece {
  room: string;
  board: string;
  page: string | null;
  marks: string[];
}

interface Wish {
  pieces: Piece[];
  /** Whether the floor goes to those who made it. */
  lend: boolean;
}

/**
 * Puts what rooms made before the class: the whole board of one room as it is, anything else side by side on a new one. Rooms keep theirs
 * as they were.
 */
export function usePutting(sitting: SittingState, activity: Activity, onShown: () => void) {
  const live = useLive();
  const main = placeStream(sitting.id, MAIN);
  const made = async ([first, ...others]: Piece[]) =>
    others.length === 0 && first!.page === null
      ? post<{ board: string }>(`/api/classes/${sitting.id}/boards`, { copy: first!.board, named: true })
      : post<{ board: string }>(`/api/classes/${sitting.id}/rooms/${activity.id}/side-by-side`, {
          pieces: [first!, ...others].map(({ room, board, page, marks }) => ({
            room,
            board,
            page: page ?? firstPageOf(activity, room, board),
            ...(marks.length > 0 && { marks }),
          })),
        });
  return useMutation({
    mutationFn: async ({ pieces, lend }: Wish) => {
      const { board } = await made(pieces);
      const { ok } = await live.do('class.show', main, { board, page: pageOf(activity, pieces) });
      const people = ok && lend ? authors(sitting, activity, pieces) : [];
      if (people.length > 0) await live.do('class.lend_floor', main, { people });
      return ok;
    },
    // What was refused is told by itself; what was chosen stays chosen.
    onSuccess: (ok) => ok && onShown(),
    onError: (error) => live.notice('not_put_forward', error.message),
  });
}

const boardOf = (activity: Activity, room: string, board: string) =>
  activity.rooms.find(({ id }) => id === room)?.boards.find(({ id }) => id === board);

const firstPageOf = (activity: Activity, room: string, board: string) =>
  boardOf(activity, room, board)?.first_page ?? FIRST_PAGE;

/** What is laid side by side is on a first page; a whole board comes with the page that it began with. */
function pageOf(activity: Activity, pieces: Piece[]): string {
  const [only, ...others] = pieces;
  return others.length === 0 && only!.page === null ? firstPageOf(activity, only!.room, only!.board) : FIRST_PAGE;
}

/** Who sat in those rooms and is in the main room now. */
function authors(sitting: SittingState, activity: Activity, pieces: Piece[]): string[] {
  const sat = new Set(
    activity.rooms.filter(({ id }) => pieces.some(({ room }) => room === id)).flatMap((room) => room.sat),
  );
  return inPlace(sitting, MAIN)
    .filter((seat) => !isStaff(seat) && sat.has(seat.id))
    .map(({ id }) => id);
}
