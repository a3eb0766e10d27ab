import { useEffect, useState } from 'react';

/** The present time in ms, renewed every so often. */
export function useNow(every = 1_000): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), every);
    return () => clearInterval(timer);
  }, [every]);
  return now;
}
