import { useEffect } from 'react';

/** While something is not sent, the browser asks before the page is closed. */
export function useUnsent(unsent: boolean) {
  useEffect(() => {
    if (!unsent) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [unsent]);
}
