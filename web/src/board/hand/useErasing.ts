import { useCallback, useRef, useState } from 'react';

/**
 * The eraser takes off whole marks: those it passes over fade, and go when the hand is lifted, so that one
 * undo brings all of them back.
 */
export function useErasing(mayTakeOff: (id: string) => boolean, onRemove: (ids: string[]) => void) {
  const active = useRef(false);
  const [fading, setFading] = useState<ReadonlySet<string>>(new Set());

  const over = useCallback(
    (x: number, y: number) => {
      const id = document.elementFromPoint(x, y)?.closest('[data-mark]')?.getAttribute('data-mark');
      if (id && mayTakeOff(id)) setFading((all) => (all.has(id) ? all : new Set(all).add(id)));
    },
    [mayTakeOff],
  );
  const begin = useCallback(
    (x: number, y: number) => {
      active.current = true;
      over(x, y);
    },
    [over],
  );
  const extend = useCallback((x: number, y: number) => active.current && over(x, y), [over]);
  const finish = useCallback(() => {
    if (!active.current) return;
    active.current = false;
    if (fading.size > 0) onRemove([...fading]);
    setFading(new Set());
  }, [fading, onRemove]);

  const cancel = useCallback(() => {
    active.current = false;
    setFading(new Set());
  }, []);

  return { fading, begin, extend, finish, cancel };
}
