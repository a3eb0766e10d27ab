import { useEffect, useRef, useState } from 'react';
import type { Glimpse } from '../../api/shapes';
import { useLive } from '../../live/hooks';
import { boardStream } from '../../live/streams';
import { fade, NO_GLIMPSES, settle, take, type Glimpses } from './glimpses';

const TIDY_EVERY = 500;

/** What others are doing on a board this moment; drawn at most once for each picture that the screen shows. */
export function useGlimpses(board: string, me: string, marks: { has(id: string): boolean }): Glimpses {
  const live = useLive();
  const [glimpses, setGlimpses] = useState(NO_GLIMPSES);
  const latest = useRef(glimpses);
  useEffect(() => {
    latest.current = glimpses;
  });

  useEffect(() => {
    let heard: Glimpse[] = [];
    let frame = 0;
    const draw = () => {
      const all = heard;
      heard = [];
      frame = 0;
      setGlimpses((state) => take(state, all, Date.now()));
    };
    const stop = live.watch(boardStream(board), (all) => {
      // A hidden page is shown no pictures: what would only pile up until it is looked at again is let go.
      if (document.visibilityState === 'hidden') return;
      heard.push(...all.filter(({ by }) => by !== me));
      if (heard.length > 0) frame ||= requestAnimationFrame(draw);
    });
    // Where nobody does anything, nothing is done either.
    const tidy = setInterval(() => {
      const { ink, pointers } = latest.current;
      if (ink.size + pointers.size > 0) setGlimpses((state) => fade(state, Date.now()));
    }, TIDY_EVERY);
    return () => {
      stop();
      clearInterval(tidy);
      cancelAnimationFrame(frame);
      setGlimpses(NO_GLIMPSES);
    };
  }, [live, board, me]);

  // What has dried is let go while rendering, so that it is never drawn twice.
  const settled = settle(glimpses, (id) => marks.has(id));
  if (settled !== glimpses) setGlimpses(settled);
  return settled;
}
