import { useEffect, useRef } from 'react';
import type { You } from '../api/shapes';
import { showMoment } from '../board/showMoment';
import { useLive } from '../live/hooks';
import type { PlaceState } from '../live/place';
import { clockTime } from '../parts/words/times';
import { chooseScreen, momentOf } from './screen';
import { useStage, useStageState } from './useStage';

const FAILED = 'The screen could not be shared. Try again, or share a window instead of the whole screen.';

/** The screen that somebody shares in a place, and what one may do about it. */
export function useScreen(place: PlaceState, room: string, you: You) {
  const live = useLive();
  const stage = useStage();
  const state = useStageState();
  const { screen } = place;
  const mine = screen?.person === you.id;
  const was = useRef(mine);
  useEffect(() => {
    // Ended, or taken over, by somebody else.
    if (was.current && !mine) stage?.unshare();
    was.current = mine;
  }, [mine, stage]);
  const end = () => live.do('class.share_screen', room, { on: false });
  const says = (words: string) => live.notice('screen', words);
  return {
    screen,
    mine,
    /** What is seen of it here; null while nothing comes. */
    picture: screen ? (mine ? state?.screen : state?.tracks.get(`${screen.person}--screen`)?.video) : null,
    end,
    share: async () => {
      const chosen = await chooseScreen(you.name).catch(() => says(FAILED));
      if (!chosen) return;
      const outcome = await live.do('class.share_screen', room, { on: true });
      if (outcome.ok) return stage?.share(chosen, () => void end());
      chosen.stop();
      says(outcome.says);
    },
    pause: async (on: boolean) => {
      if (mine) await stage?.pause(on);
      await live.do('class.pause_screen', room, { on });
    },
    /** Makes a board of this moment, to be drawn on; the screen waits behind it. */
    draw: async (course: string, lesson: string, track: MediaStreamTrack) => {
      const name = `Screen, ${clockTime(Date.now(), true)}`;
      const moment = () => momentOf(track);
      await showMoment(live, { room, course, lesson, name, label: 'from a screen', moment }).catch((error: Error) =>
        says(error.message),
      );
    },
  };
}
