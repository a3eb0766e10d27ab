import { useState } from 'react';
import { useLive } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import type { You } from '../../api/shapes';

interface Look {
  board: string;
  page: string;
  /** What was on show when one turned away from it. */
  from: PlaceState['shown'];
}

/**
 * What one looks at. Staff turn pages for everyone, and may look at boards that only they can see; students may turn pages for
 * themselves. Whoever does may come back, and whatever comes on show takes them along.
 */
export function useRoaming(stream: string, { shown }: PlaceState, you: You) {
  const live = useLive();
  const [own, setOwn] = useState<Look | null>(null);
  const roaming = own !== null && own.from === shown && !(own.board === shown?.board && own.page === shown.page);
  const board = roaming ? own.board : shown?.board;

  const go = (page: string) => {
    if (!board) return;
    if (you.staff && !roaming) void live.do('class.show', stream, { board, page });
    else setOwn({ board, page, from: shown });
  };

  return {
    shown: roaming ? { board: own.board, page: own.page } : shown,
    roaming,
    go,
    /** Looks at another board without bringing it on show. */
    look: (board: string, page: string) => setOwn({ board, page, from: shown }),
    back: () => setOwn(null),
  };
}
