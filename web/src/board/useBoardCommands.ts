import { useMemo } from 'react';
import { inChunks } from '../live/chunks';
import { newId } from '../live/LiveClient';
import type { Outcome } from '../live/pending';
import { boardStream } from '../live/streams';
import { useLive } from '../live/hooks';
import { MOST_AT_ONCE, type Commands } from '../api/contracts';
import type { MarkChange, NewMark } from '../live/board';

export type Way = Commands['board.arrange']['way'];
export type Action = Commands['board.use_prop']['action'];

/** What becomes of several commands that stand for one: done, or why the first of them was refused. */
const all = async (commands: Promise<Outcome>[]): Promise<Outcome> =>
  (await Promise.all(commands)).find(({ ok }) => !ok) ?? { ok: true };

/** Everything that can be asked of one board. What is too much for one command is asked for in several. */
export function useBoardCommands(board: string) {
  const live = useLive();
  return useMemo(() => {
    const stream = boardStream(board);
    return {
      put: (...marks: NewMark[]) =>
        all(inChunks(marks, MOST_AT_ONCE.put!).map((some) => live.do('board.put', stream, { marks: some }))),
      change: (changes: MarkChange[]) =>
        all(inChunks(changes, MOST_AT_ONCE.change!).map((some) => live.do('board.change', stream, { changes: some }))),
      remove: (ids: string[]) =>
        all(inChunks(ids, MOST_AT_ONCE.remove!).map((some) => live.do('board.remove', stream, { ids: some }))),
      clear: (page: string, by?: string) => live.do('board.clear', stream, by ? { page, by } : { page }),
      arrange: (ids: string[], way: Way) => {
        // Marks are put in order among one another, so that cannot be done in parts.
        if (ids.length > MOST_AT_ONCE.arrange!)
          return live.notice(
            'too_many',
            `Up to ${MOST_AT_ONCE.arrange} marks can be put in order at once. Choose fewer.`,
          );
        void live.do('board.arrange', stream, { ids, way, language: navigator.language });
      },
      straighten: (ids: string[]) =>
        all(inChunks(ids, MOST_AT_ONCE.straighten!).map((some) => live.do('board.straighten', stream, { ids: some }))),
      use: (id: string, action: Action) => live.do('board.use_prop', stream, { id, action }),
      bringBack: (page: string, seq: number) => live.do('board.bring_back', stream, { page, seq }),
      setGrows: (page: string, grows: boolean) => live.do('board.set_page', stream, { page, grows }),
      lock: (on: boolean, page?: string) => live.do('board.lock', stream, page ? { on, page } : { on }),
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
