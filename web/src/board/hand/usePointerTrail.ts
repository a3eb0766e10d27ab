import { useCallback, useEffect, useRef } from 'react';

const GLIMPSE_EVERY = 40;
const SAMPLE_EVERY = 100;

interface Handlers {
  onGlimpse: (x: number, y: number) => void;
  /** Once a second: `dt, x, y` in turn, `dt` in ms before now. */
  onTrail: (path: number[]) => void;
}

/** Sends the pointer to others as it moves, and its path once a second for the recording. */
export function usePointerTrail({ onGlimpse, onTrail }: Handlers) {
  const samples = useRef<{ at: number; x: number; y: number }[]>([]);
  const told = useRef(0);

  useEffect(() => {
    const timer = setInterval(() => {
      const now = Date.now();
      const path = samples.current.flatMap(({ at, x, y }) => [now - at, x, y]);
      samples.current = [];
      if (path.length > 0) onTrail(path);
    }, 1_000);
    return () => clearInterval(timer);
  }, [onTrail]);

  return useCallback(
    (x: number, y: number) => {
      const now = Date.now();
      if (now - told.current >= GLIMPSE_EVERY) {
        told.current = now;
        onGlimpse(Math.round(x), Math.round(y));
      }
      const last = samples.current.at(-1);
      if (!last || now - last.at >= SAMPLE_EVERY) samples.current.push({ at: now, x: Math.round(x), y: Math.round(y) });
    },
    [onGlimpse],
  );
}
