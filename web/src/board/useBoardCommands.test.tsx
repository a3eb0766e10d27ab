import { act, renderHook } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { MESSAGE_LIMIT } from '../api/contracts';
import { connection } from '../testing/live';
import { boardView, mark } from '../testing/boards';
import type { Glimpse } from '../api/shapes';
import { useGlimpses } from './others/useGlimpses';
import { useBoardCommands } from './useBoardCommands';

const ids = (count: number) => Array.from({ length: count }, (_, i) => `m${i}`);
const board = () => connection({ streams: { 'board/b': boardView(mark('m0')) } });

describe('what is asked of a board', () => {
  const asking = () => {
    const live = board();
    return { ...live, commands: renderHook(() => useBoardCommands('b'), { wrapper: live.wrapper }).result.current };
  };

  it('goes in several commands when it is too much for one, and leaves nothing out', () => {
    const { commands, asked } = asking();
    void commands.put(...ids(450).map((id) => mark(id)));
    void commands.remove(ids(1_001));
    void commands.straighten(ids(120));
    const counts = asked().map(([name, input]) => [name, Object.values(input as Record<string, unknown[]>)[0]!.length]);
    expect(counts).toEqual([
      ['board.put', 200],
      ['board.put', 200],
      ['board.put', 50],
      ['board.remove', 500],
      ['board.remove', 500],
      ['board.remove', 1],
      ['board.straighten', 50],
      ['board.straighten', 50],
      ['board.straighten', 20],
    ]);
  });

  it('fits large selections into messages, by their number and by their size', () => {
    const { commands, asked } = asking();
    void commands.change(ids(700).map((id) => ({ id, set: { x: 1 } })));
    // 150 strokes of 40 points, resized, are more than one message takes.
    const points = Array.from({ length: 80 }, (_, i) => 1234.5 + i);
    void commands.change(ids(150).map((id) => ({ id, set: { points } })));
    const sent = asked().map(([, input]) => (input as { changes: unknown[] }).changes);
    expect(sent.slice(0, 2).map(({ length }) => length)).toEqual([500, 200]);
    expect(sent.slice(2).flat()).toHaveLength(150);
    for (const changes of sent) expect(JSON.stringify(changes).length).toBeLessThan(MESSAGE_LIMIT);
  });

  it('tells what became of all of it', async () => {
    const { commands, socket, tell } = asking();
    const outcome = commands.remove(ids(600));
    const [first, second] = socket.said.filter(({ t }) => t === 'do').map(({ id }) => id as string);
    tell({ t: 'done', id: first!, seq: 1 });
    tell({ t: 'refused', id: second!, code: 'mark_locked', says: 'That mark is locked by the instructor.' });
    await expect(outcome).resolves.toMatchObject({ ok: false, code: 'mark_locked' });
  });

  it('says when too many marks are to be put in order, and asks for nothing', () => {
    const { commands, asked, client } = asking();
    act(() => commands.arrange(ids(501), 'left'));
    expect(asked()).toEqual([]);
    expect(client.connection.trouble?.says).toMatch(/Up to 500 marks/);
    commands.arrange(ids(500), 'left');
    expect(asked()).toHaveLength(1);
  });
});

describe('what others do while the page is hidden', () => {
  it('does not pile up', async () => {
    const live = board();
    const { result } = renderHook(() => useGlimpses('b', 'farah', new Map()), { wrapper: live.wrapper });
    const pointer = (x: number): Glimpse => ({ by: 'jonas', kind: 'pointer', body: { page: 'p1', x, y: 1 } });
    const hidden = Object.getOwnPropertyDescriptor(Document.prototype, 'visibilityState');
    Object.defineProperty(document, 'visibilityState', { value: 'hidden', configurable: true });
    live.tell({ t: 'now', stream: 'board/b', all: [pointer(1)] });
    Object.defineProperty(document, 'visibilityState', { value: 'visible', configurable: true });
    live.tell({ t: 'now', stream: 'board/b', all: [{ ...pointer(2), by: 'ines' }] });
    await act(() => new Promise((wait) => setTimeout(wait, 60)));
    expect([...result.current.pointers.keys()]).toEqual(['ines']);
    if (hidden) Object.defineProperty(document, 'visibilityState', hidden);
  });
});
