import { useMemo } from 'react';
import { newId } from '../live/LiveClient';
import { useLive } from '../live/hooks';
import type { MarkChange, NewMark } from '../live/board';

/** Everything that can be asked of one board. */
export function useBoardCommands(board: string) {
  const live = useLive();
  return useMemo(() => {
    const stream = `board/${board}`;
    return {
      put: (...marks: NewMark[]) => live.do('board.put', stream, { marks }),
      change: (changes: MarkChange[]) => changes.length > 0 && live.do('board.change', stream, { changes }),
      remove: (ids: string[]) => ids.length > 0 && live.do('board.remove', stream, { ids }),
      clear: (page: string) => live.do('board.clear', stream, { page }),
      undo: () => live.do('board.undo', stream, {}),
      redo: () => live.do('board.redo', stream, {}),
      addPage: (after: string) => {
        const page = newId();
        return live.do('board.add_page', stream, { page, after }).then((outcome) => (outcome.ok ? page : null));
      },
      trail: (page: string, path: number[]) => live.do('board.point', stream, { page, path }),
      glimpse: (kind: 'ink' | 'pointer', body: Record<string, unknown>) => live.now(stream, kind, body),
    };
  }, [live, board]);
}

export type BoardCommands = ReturnType<typeof useBoardCommands>;
