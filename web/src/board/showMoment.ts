import { FIRST_PAGE } from '../api/contracts';
import { post } from '../api/http';
import type { BoardRow, MaterialFacts } from '../api/shapes';
import { untilReady, upload } from '../api/upload';
import type { LiveClient } from '../live/LiveClient';
import { sittingOf } from '../live/streams';

/** Tries, and ms between them, until the class knows of a board that was made a moment ago. */
const TRIES = 10;
const AGAIN = 300;

const FAILED = 'No picture of that moment could be made. Try again.';

interface Moment {
  /** Stream of the place in which it is shown. */
  room: string;
  course: string;
  lesson: string;
  /** Of the board. */
  name: string;
  /** Of the material on the shelf. */
  label: string;
  moment: () => Promise<HTMLCanvasElement>;
}

/**
 * Makes a board of a moment of something that moves, and shows it, so that all may draw on it.
 * @throws Error in words for whoever asked
 */
export async function showMoment(live: LiveClient, { room, course, lesson, name, label, moment }: Moment) {
  const canvas = await moment();
  const blob = await new Promise<Blob | null>((made) => canvas.toBlob(made, 'image/png'));
  if (!blob) throw new Error(FAILED);
  const id = await upload(new File([blob], `${name}.png`, { type: 'image/png' }), { course, label });
  const material = await untilReady<MaterialFacts>(`/api/materials/${id}`);
  if (material.state === 'failed') throw new Error(FAILED);
  const board = await post<BoardRow>(`/api/lessons/${lesson}/boards`, { name, material: id, sitting: sittingOf(room) });
  for (let i = 0; i < TRIES; i++) {
    const outcome = await live.do('class.show', room, { board: board.id, page: board.first_page ?? FIRST_PAGE });
    if (outcome.ok) return;
    await new Promise((later) => setTimeout(later, AGAIN));
  }
  throw new Error('The board is made, but could not be shown. Choose it in the list of boards.');
}
