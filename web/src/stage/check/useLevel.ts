import { useEffect, useState } from 'react';
import { peakOf } from './level';

/** ms between two looks, and how many of them what is said holds for: words must not flicker with every syllable. */
const EVERY = 100;
const HOLDS = 12;

/** @returns how loud a microphone is, now and at most in the last second, in dB; the least there is while there is none */
export function useLevel(track: MediaStreamTrack | null): { now: number; lately: number } {
  const [level, setLevel] = useState({ now: -Infinity, lately: -Infinity });
  useEffect(() => {
    if (!track) return;
    const context = new AudioContext();
    const ear = context.createAnalyser();
    ear.fftSize = 2_048;
    context.createMediaStreamSource(new MediaStream([track])).connect(ear);
    void context.resume();
    const samples = new Float32Array(ear.fftSize);
    let last: number[] = [];
    const timer = setInterval(() => {
      ear.getFloatTimeDomainData(samples);
      last = [...last, peakOf(samples)].slice(-HOLDS);
      setLevel({ now: last.at(-1)!, lately: Math.max(...last) });
    }, EVERY);
    return () => {
      clearInterval(timer);
      void context.close();
    };
  }, [track]);
  return track ? level : { now: -Infinity, lately: -Infinity };
}
