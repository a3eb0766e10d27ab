import { useState } from 'react';
import { useLive } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import type { You } from '../../api/shapes';

/**
 * Which page one looks at. Staff turn pages for everyone; students may turn them for themselves
 * and come back, and whatever comes on show takes them along.
 */
export function useRoaming(stream: string, { shown }: PlaceState, you: You) {
  const live = useLive();
  const [own, setOwn] = useState<{ page: string; from: PlaceState['shown'] } | null>(null);
  const roaming = own !== null && own.from === shown && own.page !== shown?.page;

  const go = (page: string) => {
    if (!shown) return;
    if (you.staff) void live.do('class.show', stream, { board: shown.board, page });
    else setOwn({ page, from: shown });
  };

  return {
    shown: roaming && shown ? { board: shown.board, page: own.page } : shown,
    roaming,
    go,
    back: () => setOwn(null),
  };
}
