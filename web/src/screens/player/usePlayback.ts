import { useEffect, useState, useSyncExternalStore } from 'react';
import type { RecordingFacts } from '../../api/shapes';
import { Recorder, type Elsewhere } from './Recorder';

/**
 * Plays a recording for as long as the component lives.
 *
 * @param from the time of day at which it begins, ms since the epoch; earlier than all of it, at its beginning
 * @param looking the page that one looks at there, if not at what was on show
 */
export function usePlayback(
  { id, length, stretches, boards, rooms }: RecordingFacts,
  from = 0,
  looking: Elsewhere | null = null,
): Recorder {
  const [recorder] = useState(() => {
    const all = [...boards, ...rooms.flatMap((room) => room.boards)];
    return new Recorder(id, length, stretches, new Set(all.map((board) => board.id)));
  });
  const { board, page } = looking ?? {};
  useEffect(() => {
    recorder.seek(recorder.timeOf(from), board ? { board, page: page ?? null } : null);
    return () => recorder.stop();
  }, [recorder, from, board, page]);
  return recorder;
}

/**
 * One fact of a recording as it plays. Components ask for what they show and no more, since the time moves twenty times a second.
 *
 * @param fact must answer the same for as long as nothing has changed
 */
export const useTold = <Fact>(recorder: Recorder, fact: (recorder: Recorder) => Fact): Fact =>
  useSyncExternalStore(recorder.subscribe, () => fact(recorder));
