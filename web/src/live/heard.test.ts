import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Incoming, StreamPart } from '../api/shapes';
import { FakeSocket } from '../testing/FakeSocket';
import type { BoardState } from './board';
import type { ExchangeState } from './exchange';
import { foldOf } from './folds';
import { LiveClient } from './LiveClient';

// What a real server told a student, before and after a cut, and what it told them when they came anew (spec/live/heard_spec.rb).
const [before, after, later] = JSON.parse(
  readFileSync(join(import.meta.dirname, '../../../spec/golden/heard.json'), 'utf8'),
) as [Incoming[], Incoming[], StreamPart[]];

let sockets: FakeSocket[];
let client: LiveClient;
const socket = () => sockets.at(-1)!;
const board = later.find(({ stream }) => stream.startsWith('board/'))!.stream;
const exchange = later.find(({ stream }) => stream.startsWith('exchange/'))!.stream;
const hear = (messages: Incoming[]) => messages.forEach((message) => socket().tell(message));

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('WebSocket', FakeSocket);
  sockets = [];
  client = new LiveClient(
    { sitting: 's' },
    () => {
      const fake = new FakeSocket();
      sockets.push(fake);
      return fake as unknown as WebSocket;
    },
    () => Promise.resolve(true),
  );
  socket().onopen();
});

afterEach(() => client.close());

async function cut() {
  socket().readyState = 3;
  socket().onclose();
  await vi.advanceTimersByTimeAsync(1_000);
  socket().onopen();
}

describe('A class as the server told it', () => {
  it('comes to what whoever joins later is told', async () => {
    const trouble = vi.spyOn(console, 'error');
    hear(before);
    await cut();
    hear(after);
    for (const { stream, view } of later) expect(client.view(stream), stream).toEqual(foldOf(stream).from(view));
    expect(client.names().sort()).toEqual(later.map(({ stream }) => stream).sort());
    expect(trouble).not.toHaveBeenCalled();
  });

  it('asks after a cut for what is new of each stream, and loses nothing asked meanwhile', async () => {
    hear(before);
    const known = client.view<ExchangeState>(exchange)!.posts.map(({ id }) => id);
    await cut();
    const hello = socket().said[0] as { t: string; seen: Record<string, number> };
    expect(hello.t).toBe('hello');
    expect(hello.seen[exchange]).toBe(known.length);
    void client.do('exchange.post', exchange, { id: 'mine', text: 'And astern?' });
    expect(client.view<ExchangeState>(exchange)!.posts.map(({ id }) => id)).toEqual([...known, 'mine']);
    hear(after);
    expect(client.view<ExchangeState>(exchange)!.posts.map(({ id }) => id)).toEqual([...known, 'p2', 'last', 'mine']);
    expect(socket().said.filter(({ t }) => t === 'do')).toHaveLength(1);
  });

  it('is the same when every message comes twice, and when some make no sense', () => {
    const odd = vi.spyOn(console, 'error').mockReturnValue();
    hear(before);
    const marks = [...client.view<BoardState>(board)!.marks.keys()];
    const entries = before.filter(({ t }) => t === 'entry');
    hear(entries);
    socket().tellAnything({ t: 'entry', stream: board, seq: 10_000, kind: 'edited', body: { ops: null } });
    socket().tellAnything({ t: 'entry', stream: 'choir/s', seq: 1, kind: 'sung', body: {} });
    socket().tellAnything({ t: 'sung' });
    expect([...client.view<BoardState>(board)!.marks.keys()]).toEqual(marks);
    expect(client.connection.status).toBe('open');
    expect(odd).toHaveBeenCalledOnce();
  });
});
