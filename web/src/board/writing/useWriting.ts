import { useState } from 'react';
import type { Mark } from '../../api/shapes';
import type { NewMark } from '../../live/board';
import { newId } from '../../live/LiveClient';
import { round } from '../geometry/boxes';
import type { Ink } from '../ledge/sticks';
import type { BoardCommands } from '../useBoardCommands';

/** How a fresh text and a fresh note are, in page px. */
export const TEXT = { size: 32, w: 460 };
const NOTE = { size: 30, w: 320, h: 120 };

interface Writing {
  mark: NewMark;
  fresh: boolean;
}

/**
 * The text or note that is being written, if any. It belongs to the page it was begun on: when that goes off the screen, or the whole
 * board does, what was typed is saved. What the server refuses comes back to be copied or tried again.
 */
export function useWriting(page: string, ink: Ink, commands: BoardCommands, onPut: () => void) {
  const [writing, setWriting] = useState<Writing | null>(null);
  const here = writing?.mark.page === page ? writing : null;

  const begin = (kind: 'text' | 'note', x: number, y: number) =>
    setWriting({
      fresh: true,
      mark: {
        id: newId(),
        page,
        kind,
        x: round(x),
        y: round(y),
        ink,
        text: '',
        ...(kind === 'text' ? TEXT : NOTE),
      },
    });

  const done = async ({ mark, fresh }: Writing, text: string) => {
    setWriting((now) => (now?.mark.id === mark.id ? null : now));
    if (fresh) onPut();
    if (fresh ? !text.trim() : text === mark.text) return;
    const { ok } = fresh
      ? await commands.put({ ...mark, text })
      : await commands.change([{ id: mark.id, set: { text } }]);
    // An id is used once.
    if (!ok) setWriting((now) => now ?? { fresh, mark: { ...mark, text, ...(fresh ? { id: newId() } : {}) } });
  };

  return {
    writing: here,
    begin,
    rewrite: (mark: Mark) => setWriting({ mark, fresh: false }),
    done: (text: string) => here && void done(here, text),
  };
}
