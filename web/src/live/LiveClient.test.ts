import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { BoardState } from './board';
import type { ExchangeState } from './exchange';
import { FakeSocket } from '../testing/FakeSocket';
import { ALL_RIGHTS } from '../testing/live';
import { LiveClient } from './LiveClient';
import type { Incoming, RightsByStream, You } from '../api/shapes';

const BOARD = 'board/b';
const no = { allowed: false, code: 'rule', says: 'Not now.' };
const rights: RightsByStream = { 'place/s.main': { ...ALL_RIGHTS, arrange: no } };
const you: You = { id: 'farah', name: 'Farah Lindqvist', role: 'student', staff: false };
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
let known: boolean;
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

afterEach(() => client.close());

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('WebSocket', FakeSocket);
  sockets = [];
  known = true;
  client = new LiveClient(
    { sitting: 's' },
    () => {
      const fake = new FakeSocket();
      sockets.push(fake);
      return fake as unknown as WebSocket;
    },
    () => Promise.resolve(known),
  );
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

  it('says what is given while its page goes, and goes itself once that is answered', async () => {
    client.retire();
    const answer = client.do('board.put', BOARD, { marks: [mark] });
    await vi.advanceTimersByTimeAsync(10);
    expect(socket().readyState).toBe(FakeSocket.OPEN);
    socket().tell(entry(1, 'm1', socket().said.at(-1)!.id as string));
    await expect(answer).resolves.toEqual({ ok: true });
    expect(socket().readyState).toBe(3);
  });

  it('goes at once with a page that leaves nothing behind', async () => {
    client.retire();
    await vi.advanceTimersByTimeAsync(10);
    expect(socket().readyState).toBe(3);
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

  it('knows what one may do on a board of the class by the place it lies in', () => {
    expect(client.rightsOn(BOARD)?.draw.allowed).toBe(true);
    expect(client.rightsOn(BOARD)?.arrange.says).toBe('Not now.');
    expect(client.rightsOn('exchange/s.main')?.post.allowed).toBe(true);
    expect(client.rightsOn('exchange/s.elsewhere')).toBeUndefined();
    socket().tell({ t: 'rights', rights: { ...rights, [BOARD]: { ...ALL_RIGHTS, draw: no } } });
    expect(client.rightsOn(BOARD)?.draw.allowed).toBe(false);
  });

  it('takes an edit back when the server could not read it and names it', async () => {
    const answer = client.do('board.put', BOARD, { marks: [mark] });
    socket().tell({ t: 'error', id: socket().said.at(-1)!.id as string, code: 'too_large', says: 'Too much.' });
    await expect(answer).resolves.toEqual({ ok: false, code: 'too_large', says: 'Too much.' });
    expect(shown().size).toBe(0);
  });

  it('says why when it is not let in again after a cut', () => {
    socket().onclose();
    vi.advanceTimersByTime(1_000);
    socket().onopen();
    socket().tell({ t: 'error', code: 'not_invited', says: 'You are not invited.' });
    expect(client.connection.status).toBe('refused');
    expect(client.connection.trouble?.says).toBe('You are not invited.');
  });

  it('keeps streams of kinds it does not know', () => {
    socket().tell({ t: 'gained', stream: 'parrot/s', head: 3, view: { words: 1 } });
    socket().tellAnything({ t: 'entry', stream: 'parrot/s', seq: 4, at: 1, by: 'jonas', kind: 'spoke', body: {} });
    expect(client.view('parrot/s')).toEqual({ words: 1 });
  });

  it('shows an own post at once, and the others in their order once they are there', () => {
    const EXCHANGE = 'exchange/s.main';
    socket().tell({ t: 'gained', stream: EXCHANGE, head: 0, view: { posts: [], pinned: [] } });
    void client.do('exchange.post', EXCHANGE, { id: 'own', text: 'Mine' });
    const posts = () => client.view<ExchangeState>(EXCHANGE)!.posts;
    expect(posts()).toMatchObject([{ id: 'own', text: 'Mine', name: 'Farah Lindqvist', on_its_way: true }]);
    const about = { t: 'entry', stream: EXCHANGE, kind: 'posted', at: 5 } as const;
    const body = { id: 'theirs', text: 'First', name: 'Jonas', to: 'everyone' };
    socket().tell({ ...about, seq: 1, by: 'jonas', body });
    expect(posts().map(({ id }) => id)).toEqual(['theirs', 'own']);
    const cmd = socket().said.at(-1)!.id as string;
    socket().tell({ ...about, seq: 2, by: 'farah', body: { ...body, id: 'own', text: 'Mine' }, cmd });
    expect(posts()).toHaveLength(2);
    expect(posts()[1]).not.toHaveProperty('on_its_way');
  });

  it('notices that nobody answers any more, and connects again', () => {
    vi.advanceTimersByTime(15_000);
    expect(socket().said.at(-1)).toEqual({ t: 'ping' });
    socket().tell({ t: 'pong' });
    vi.advanceTimersByTime(14_000);
    expect(client.connection.status).toBe('open');
    vi.advanceTimersByTime(12_000);
    expect(client.connection.status).toBe('reconnecting');
    vi.advanceTimersByTime(1_000);
    expect(sockets).toHaveLength(2);
  });

  it('gives up waiting for a welcome on a line that is open, and says hello on another', () => {
    socket().onclose();
    vi.advanceTimersByTime(1_000);
    expect(sockets).toHaveLength(2);
    socket().onopen();
    vi.advanceTimersByTime(15_000);
    // Whoever answers a ping may have lost the hello all the same.
    socket().tell({ t: 'pong' });
    vi.advanceTimersByTime(6_500);
    expect(sockets).toHaveLength(3);
    socket().onopen();
    expect(socket().said[0]).toMatchObject({ t: 'hello' });
  });

  it('takes up a connection at once when the page is looked at again', () => {
    sockets[0]!.readyState = 3;
    socket().onclose();
    expect(sockets).toHaveLength(1);
    document.dispatchEvent(new Event('visibilitychange'));
    expect(sockets).toHaveLength(2);
    vi.advanceTimersByTime(1_000);
    expect(sockets).toHaveLength(2);
  });

  it('does not knock for ever where nobody knows it any more', async () => {
    sockets[0]!.readyState = 3;
    known = false;
    socket().onclose();
    await vi.advanceTimersByTimeAsync(1_000);
    socket().readyState = 3;
    socket().onclose();
    await vi.advanceTimersByTimeAsync(60_000);
    expect(sockets).toHaveLength(2);
    expect(client.connection.status).toBe('refused');
    expect(client.connection.trouble?.says).toMatch(/signed out/);
  });

  it('goes on knocking while the server is away', async () => {
    sockets[0]!.readyState = 3;
    socket().onclose();
    for (let i = 0; i < 3; i++) {
      await vi.advanceTimersByTimeAsync(10_000);
      socket().readyState = 3;
      socket().onclose();
    }
    expect(sockets.length).toBeGreaterThan(3);
    expect(client.connection.status).toBe('reconnecting');
  });

  it('goes on when something that it is sent makes no sense', () => {
    vi.spyOn(console, 'error').mockImplementation(() => {});
    socket().onmessage({ data: '{"t":"entry"' });
    socket().tellAnything({ t: 'now', stream: BOARD, all: null });
    socket().tellAnything({ t: 'entry', stream: BOARD, seq: 1, at: 1, by: 'jonas', kind: 'edited', body: {} });
    expect(client.connection.trouble?.code).toBe('odd');
    socket().onclose();
    vi.advanceTimersByTime(1_000);
    socket().onopen();
    const odd = { stream: 'board/odd', head: 3, view: { pages: null } };
    socket().tell({ t: 'welcome', v: 2, you, rights, streams: [odd, { stream: BOARD, head: 0, view }] });
    expect(client.connection.status).toBe('open');
    expect(client.view('board/odd')).toBeUndefined();
    socket().tell(entry(1, 'a'));
    expect(shown().size).toBe(1);
  });

  it('forgets streams that may be read no more', () => {
    socket().tell({ t: 'lost', stream: BOARD, says: 'Closed.' });
    expect(client.view(BOARD)).toBeUndefined();
  });
});
