import { useCallback, useEffect, useRef, useState } from 'react';
import type { Mark } from '../../api/shapes';

const DWELL = 350;

/** The mark that hand or focus rests on; passing over it, or having just drawn it, does not count. */
export function useReached() {
  const [reached, setReached] = useState<Mark | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const reach = useCallback((mark: Mark | null) => {
    clearTimeout(timer.current);
    if (mark) timer.current = setTimeout(() => setReached(mark), DWELL);
    else setReached(null);
  }, []);
  useEffect(() => () => clearTimeout(timer.current), []);
  return [reached, reach] as const;
}
