import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { BoardState } from './board';
import { LiveClient } from './LiveClient';
import type { Incoming, Rights } from './protocol';

/** A socket whose other end is the test. */
class FakeSocket {
  static OPEN = 1;
  readyState = 1;
  said: Record<string, unknown>[] = [];
  onopen: () => void = () => {};
  onmessage: (event: { data: string }) => void = () => {};
  onclose: () => void = () => {};
  send(text: string) {
    this.said.push(JSON.parse(text));
  }
  close() {
    this.readyState = 3;
  }
  tell(message: Incoming) {
    this.onmessage({ data: JSON.stringify(message) });
  }
}

const BOARD = 'board/b';
const yes = { allowed: true, code: 'rule', says: null };
const rights: Rights = { draw: yes, post: yes, props: yes };
const you = { id: 'farah', name: 'Farah Lindqvist', role: 'student', staff: false };
const mark = {
  id: 'm1',
  page: 'p1',
  kind: 'stroke' as const,
  x: 1,
  y: 2,
  ink: 'lake' as const,
  width: 4,
  points: [0, 0, 5, 5],
};
const view = { pages: ['p1'], page_facts: [], marks: [], authors: [], undo: [], top: 0 };

let sockets: FakeSocket[];
let client: LiveClient;
const socket = () => sockets.at(-1)!;
const shown = () => client.view<BoardState>(BOARD)!.marks;
const entry = (seq: number, id: string, cmd?: string): Incoming => ({
  t: 'entry',
  stream: BOARD,
  seq,
  at: 1000 * seq,
  by: 'jonas',
  kind: 'edited',
  body: { ops: [{ op: 'put', mark: { ...mark, id } }] },
  cmd,
});

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('WebSocket', FakeSocket);
  sockets = [];
  client = new LiveClient({ sitting: 's' }, () => {
    const fake = new FakeSocket();
    sockets.push(fake);
    return fake as unknown as WebSocket;
  });
  socket().onopen();
  socket().tell({ t: 'welcome', v: 1, you, rights, streams: [{ stream: BOARD, head: 0, view }] });
});

describe('LiveClient', () => {
  it('shows an own edit at once and keeps it when the server has it', async () => {
    const answer = client.do('board.put', BOARD, { marks: [mark] });
    expect(shown().get('m1')?.by).toBe('farah');
    const { id } = socket().said.at(-1)!;
    socket().tell(entry(1, 'm1', id as string));
    await expect(answer).resolves.toEqual({ ok: true });
    expect([...shown().keys()]).toEqual(['m1']);
  });

  it('takes an edit back and says why when the server refuses it', async () => {
    const answer = client.do('board.put', BOARD, { marks: [mark] });
    socket().tell({ t: 'refused', id: socket().said.at(-1)!.id as string, code: 'may_not_draw', says: 'Not now.' });
    await expect(answer).resolves.toEqual({ ok: false, code: 'may_not_draw', says: 'Not now.' });
    expect(shown().size).toBe(0);
    expect(client.connection.trouble?.says).toBe('Not now.');
  });

  it('sends again what was only refused for the moment', () => {
    void client.do('board.put', BOARD, { marks: [mark] });
    const first = socket().said.at(-1)!;
    socket().tell({ t: 'refused', id: first.id as string, code: 'too_fast', says: 'Too fast.' });
    expect(shown().size).toBe(1);
    vi.advanceTimersByTime(1_100);
    expect(socket().said.at(-1)).toEqual({ ...first, again: true });
  });

  it('applies no entry twice', () => {
    socket().tell(entry(1, 'a'));
    socket().tell(entry(1, 'b'));
    socket().tell(entry(2, 'c'));
    expect([...shown().keys()]).toEqual(['a', 'c']);
  });

  it('after a cut says what it has seen, and sends unanswered commands again', () => {
    socket().tell(entry(1, 'a'));
    void client.do('board.put', BOARD, { marks: [mark] });
    const before = socket().said.at(-1)!;
    socket().onclose();
    expect(client.connection.status).toBe('reconnecting');
    void client.do('board.put', BOARD, { marks: [{ ...mark, id: 'offline' }] });
    vi.advanceTimersByTime(1_000);
    socket().onopen();
    expect(socket().said[0]).toMatchObject({ t: 'hello', seen: { [BOARD]: 1 } });
    socket().tell({ t: 'welcome', v: 1, you, rights, streams: [{ stream: BOARD, head: 1, entries: [] }] });
    const sent = socket().said.filter(({ t }) => t === 'do');
    expect(sent).toHaveLength(2);
    expect(sent[0]).toEqual({ ...before, again: true });
    expect(sent[1]).not.toHaveProperty('again');
    expect([...shown().keys()]).toEqual(['a', 'm1', 'offline']);
  });

  it('forgets streams that may be read no more', () => {
    socket().tell({ t: 'lost', stream: BOARD, says: 'Closed.' });
    expect(client.view(BOARD)).toBeUndefined();
  });
});
