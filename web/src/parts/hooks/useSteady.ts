import { useEffect, useMemo, useRef } from 'react';

type Acts = Record<string, (...args: never[]) => unknown>;

/**
 * The same functions for as long as the component lives, each doing what its latest version does, so that
 * memoised children are not drawn again for new closures. Not to be called while rendering.
 */
export function useSteady<T extends Acts>(acts: T): T {
  const latest = useRef(acts);
  useEffect(() => {
    latest.current = acts;
  });
  const names = Object.keys(acts).join();
  return useMemo(
    () =>
      Object.fromEntries(
        names.split(',').map((name) => [name, (...args: never[]) => latest.current[name]!(...args)]),
      ) as T,
    [names],
  );
}
