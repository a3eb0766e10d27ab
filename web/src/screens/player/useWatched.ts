import { useEffect } from 'react';
import { post } from '../../api/http';
import type { RecordingFacts } from '../../api/shapes';
import type { Recorder } from './Recorder';

/** ms between two times that it is told what was watched, and of the class that count as one. */
const EVERY = 20_000;
const MINUTE = 60_000;

/** Tells which minutes were watched and where one is, so that one goes on there, on another device too. */
export function useWatched(recorder: Recorder, { id, opened }: RecordingFacts) {
  useEffect(() => {
    let minutes = new Set<number>();
    let last: number | null = null;
    const notice = () => {
      // Before it is there nothing is watched.
      if (recorder.playing && !recorder.onItsWay && recorder.wall >= opened)
        minutes.add(Math.floor((recorder.wall - opened) / MINUTE));
    };
    const tell = () => {
      const at = Math.round(recorder.wall);
      if (minutes.size === 0 || at === last) return;
      const told = [...minutes].slice(0, 30);
      minutes = new Set();
      last = at;
      // What could not be told is not worth a word.
      post(`/api/recordings/${id}/watched`, { at, minutes: told }).catch(() => undefined);
    };
    const leaving = () => document.visibilityState === 'hidden' && tell();
    const off = recorder.subscribe(notice);
    const timer = setInterval(tell, EVERY);
    document.addEventListener('visibilitychange', leaving);
    return () => {
      off();
      clearInterval(timer);
      document.removeEventListener('visibilitychange', leaving);
      tell();
    };
  }, [recorder, id, opened]);
}
