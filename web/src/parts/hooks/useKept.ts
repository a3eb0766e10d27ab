import { useState } from 'react';

/** What was begun on this page and neither sent nor given up. */
const begun = new Map<string, unknown>();

/** Whoever sits here next finds nothing of it. */
export const forgetBegun = () => begun.clear();

/**
 * State that is still there when what shows it goes away and comes back, as when a panel is put away or the device is turned. It is gone
 * once it is set to null, or the page is loaded again.
 *
 * @param name tells it from all others
 */
export function useKept<T>(name: string): [T | null, (change: (before: T | null) => T | null) => void] {
  const now = () => (begun.get(name) as T | undefined) ?? null;
  const [value, setValue] = useState<T | null>(now);
  // Also by what comes back when nothing shows it any more.
  const set = (change: (before: T | null) => T | null) => {
    const next = change(now());
    if (next === null) begun.delete(name);
    else begun.set(name, next);
    setValue(() => next);
  };
  return [value, set];
}
