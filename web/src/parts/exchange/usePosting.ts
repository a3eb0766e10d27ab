import { useEffect, useRef, useState } from 'react';
import type { ThreadRow, You } from '../../api/shapes';
import { useLive, usePartners, usePlace, useRights, useSitting } from '../../live/hooks';
import { newId } from '../../live/LiveClient';
import type { PlaceState } from '../../live/place';
import { present, type SittingState } from '../../live/sitting';
import { exchangeStream, threadStream } from '../../live/streams';
import { isStaff } from '../words/people';
import { answering, threadFor, type Audience } from './audience';
import type { Word } from './useWords';

const WAIT = 'One moment.';

/**
 * Whom one writes to in a place, whether one may, and how it is sent: to everyone, in a thread there is, or in one that it begins.
 *
 * @param wanted somebody one asked, elsewhere on the page, to write to; asked again, it is another object
 */
export function usePosting(
  sitting: string,
  place: string,
  threads: ThreadRow[],
  you: You | null,
  wanted: { people: string[] } | null,
) {
  const live = useLive();
  const stream = exchangeStream(sitting, place);
  const rights = useRights(stream);
  const state = useSitting(sitting);
  const room = usePlace(sitting, place);
  const [to, setTo] = useState<Audience>('everyone');
  const input = useRef<HTMLInputElement>(null);
  const [taken, setTaken] = useState<typeof wanted>(null);
  if (wanted !== taken) {
    setTaken(wanted);
    if (wanted) setTo({ people: wanted.people, staff: false });
  }
  useEffect(() => {
    if (wanted) input.current?.focus();
  }, [wanted]);
  const seats = others(state, you);
  const partners = usePartners(sitting, place);
  const threadsReason = refusal(rights?.threads);
  const toStudents =
    to !== 'everyone' &&
    to.people.some((id) => !partners.includes(id)) &&
    to.people.some((id) => !isStaff(seats.find((seat) => seat.id === id) ?? { role: 'student' }));
  const reason = to === 'everyone' ? refusal(rights?.post) : toStudents ? threadsReason : null;

  const post = async (text: string, file?: string): Promise<boolean> => {
    const first = { id: newId(), text, ...(file && { file }) };
    if (to === 'everyone' || !you) return (await live.do('exchange.post', stream, first)).ok;
    const thread = threadFor(threads, to, you, room?.oversight ?? false);
    if (thread) return (await live.do('thread.post', threadStream(sitting, thread.id), first)).ok;
    return (
      await live.do('exchange.begin_thread', stream, { id: newId(), people: to.people, staff: to.staff, post: first })
    ).ok;
  };
  const answer = (word: Word) => {
    if (!you) return;
    setTo(word.thread ? answering(word.thread, you) : { people: [word.by], staff: false });
    // The menu gives the focus back to its button first.
    setTimeout(() => input.current?.focus());
  };
  return {
    to,
    setTo,
    seats,
    reason,
    threadsReason,
    remark: remarkOn(to, room),
    input,
    post,
    answer,
    mayBring: rights?.bring.allowed ?? false,
  };
}

const others = (state: SittingState | undefined, you: You | null) =>
  state ? present(state).filter(({ id }) => id !== you?.id) : [];

const refusal = (answer: { allowed: boolean; says: string | null } | undefined) =>
  answer?.allowed ? null : (answer?.says ?? WAIT);

/** The class is told who reads along. */
const remarkOn = (to: Audience, room: PlaceState | undefined) =>
  to !== 'everyone' && !to.staff && room?.oversight ? 'staff read along' : undefined;
