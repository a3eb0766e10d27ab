import { useMemo } from 'react';
import { newId } from '../live/LiveClient';
import { useLive } from '../live/hooks';
import type { Commands } from '../api/contracts';
import type { MarkChange, NewMark } from '../live/board';

export type Way = Commands['board.arrange']['way'];
export type Action = Commands['board.use_prop']['action'];

/** Everything that can be asked of one board. */
export function useBoardCommands(board: string) {
  const live = useLive();
  return useMemo(() => {
    const stream = `board/${board}`;
    return {
      put: (...marks: NewMark[]) => live.do('board.put', stream, { marks }),
      change: (changes: MarkChange[]) => changes.length > 0 && live.do('board.change', stream, { changes }),
      remove: (ids: string[]) => ids.length > 0 && live.do('board.remove', stream, { ids }),
      clear: (page: string, by?: string) => live.do('board.clear', stream, by ? { page, by } : { page }),
      arrange: (ids: string[], way: Way) =>
        live.do('board.arrange', stream, { ids, way, language: navigator.language }),
      straighten: (ids: string[]) => live.do('board.straighten', stream, { ids }),
      use: (id: string, action: Action) => live.do('board.use_prop', stream, { id, action }),
      bringBack: (page: string, seq: number) => live.do('board.bring_back', stream, { page, seq }),
      setGrows: (page: string, grows: boolean) => live.do('board.set_page', stream, { page, grows }),
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
