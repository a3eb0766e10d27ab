import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { RecordedEntry } from '../../api/shapes';
import type { ExchangeState } from '../../live/exchange';
import { boardView, mark } from '../../testing/boards';
import { Recorder } from './Recorder';

const BEGAN = 1_000_000;
const LENGTH = 600_000;

/** A server whose recording is 100 posts, one every 3 s, and a board that comes on show by a cue after 10 s. */
const server = vi.hoisted(() => ({ asked: [] as string[], fails: false, slow: 0, seam: false, gone: false }));
const post = (i: number): RecordedEntry => ({
  stream: 'exchange/s.main',
  kind: 'posted',
  seq: i,
  t: i * 3_000,
  at: BEGAN + i * 3_000,
  by: 'farah',
  body: { id: `p${i}`, to: 'everyone', name: 'Farah', text: `Post ${i}` },
});
const shown: RecordedEntry = {
  stream: 'place/s.main',
  kind: 'shown',
  seq: 1,
  t: 10_000,
  at: BEGAN + 10_000,
  by: 'odalys',
  body: { board: 'b', page: 'p1' },
};
const posts = Array.from({ length: 100 }, (_, i) => post(i + 1));
const place = (on: boolean) => ({
  shown: on ? { board: 'b', page: 'p1' } : null,
  timer: null,
  hands: [],
  rules: { for_all: {}, exceptions: [] },
  welcome: null,
  hosts: [],
});
const answer = (path: string): unknown => {
  const asked = new URL(path, 'http://here').searchParams;
  const number = (name: string) => Number(asked.get(name));
  if (path.includes('/entries')) {
    const [from, to] = [number('from'), number('to')];
    const seam = server.seam ? [{ ...(answer('/at?t=102000') as object), kind: 'seam', t: 102_000 }] : [];
    const entries: { t: number }[] = [...posts, shown, ...seam];
    return { from, to, entries: entries.filter(({ t }) => t > from && t <= to).sort((a, b) => a.t - b.t) };
  }
  const t = number('t');
  const written = posts.filter((one) => one.t <= t).map(({ body, at, by }) => ({ ...body, at, by }));
  return {
    t,
    wall: BEGAN + t,
    streams: {
      'place/s.main': place(t >= 10_000),
      'exchange/s.main': { posts: written },
      ...(t >= 10_000 ? { 'board/b': boardView(mark('m1')) } : {}),
      ...(asked.get('board') === 'c' ? { 'board/c': boardView(mark('m2')) } : {}),
    },
  };
};
vi.mock('../../api/http', () => ({
  get: async (path: string) => {
    server.asked.push(path);
    if (server.slow) await new Promise((wait) => setTimeout(wait, server.slow));
    if (server.fails) throw new Error('The server cannot be reached just now.');
    if (server.gone) throw Object.assign(new Error('There is no such recording.'), { code: 'no_such_recording' });
    return answer(path);
  },
}));

let recorder: Recorder;
const written = () => recorder.view<ExchangeState>('exchange/s.main')!.posts.map(({ id }) => id);
const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms);
const arriveAt = async (to: number) => {
  recorder.seek(to);
  await pass(300 + server.slow);
};

beforeEach(async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'setInterval', 'clearInterval', 'performance', 'Date'] });
  Object.assign(server, { asked: [], fails: false, slow: 0, seam: false, gone: false });
  recorder = new Recorder('s', LENGTH, [[BEGAN, BEGAN + LENGTH]], new Set(['b', 'c']));
  await arriveAt(0);
});
afterEach(() => {
  recorder.stop();
  vi.useRealTimers();
});

describe('Recorder', () => {
  it('shows the same when a moment is sought and when it is played to', async () => {
    recorder.toggle();
    await pass(31_000);
    recorder.toggle();
    const played = written();
    const { time } = recorder;
    await arriveAt(time);
    expect(played).toEqual(written());
    expect(played.length).toBe(10);
  });

  it('asks for few moments while a hand drags, and for the last', async () => {
    server.asked = [];
    for (let i = 1; i <= 120; i++) {
      recorder.seek(i * 1_000);
      await pass(10);
    }
    await pass(400);
    const moments = server.asked.filter((path) => path.includes('/at?'));
    expect(moments.length).toBeLessThan(10);
    expect(moments.at(-1)).toContain('t=120000');
    expect(written()).toHaveLength(40);
    expect(recorder.onItsWay).toBe(false);
  });

  it('arrives at a moment that is sought twice at once', async () => {
    recorder.seek(0);
    recorder.seek(0);
    await pass(400);
    expect(recorder.view('place/s.main')).toBeDefined();
  });

  it('does not seek again and again while it plays on', async () => {
    recorder.toggle();
    server.asked = [];
    await pass(2_000);
    expect(server.asked.filter((path) => path.includes('/at?'))).toHaveLength(0);
    expect(recorder.time).toBeGreaterThan(1_500);
  });

  it('fetches a board that a cue brings on show, and waits for it', async () => {
    server.slow = 500;
    recorder.toggle();
    await pass(10_100);
    expect(recorder.view('board/b')).toBeUndefined();
    expect(recorder.onItsWay).toBe(true);
    const waited = recorder.time;
    await pass(300);
    expect(recorder.time).toBe(waited);
    await pass(400);
    expect(recorder.view('board/b')).toBeDefined();
    await pass(1_000);
    expect(recorder.time).toBeGreaterThan(waited);
    expect(recorder.holds('b')).toBe(true);
    expect(recorder.holds('for-staff')).toBe(false);
  });

  it('goes on fetching after a journey that was given up', async () => {
    server.slow = 200;
    recorder.toggle();
    await pass(85_000); // more is being fetched now
    recorder.seek(200_000);
    await pass(100);
    recorder.seek(5_000);
    await pass(1_000);
    await pass(200_000);
    expect(recorder.time).toBeGreaterThan(200_000);
    expect(recorder.trouble).toBeNull();
  });

  it('fetches nothing twice when a journey that was given up comes to its end', async () => {
    recorder.setSpeed(3);
    server.slow = 2_000;
    recorder.toggle();
    await pass(100); // at this speed the next lot is fetched at once
    server.slow = 0;
    recorder.seek(11_000);
    await pass(10);
    server.slow = 10_000;
    await pass(5_000);
    server.asked = server.asked.filter((path) => path.includes('from=131000'));
    expect(server.asked).toHaveLength(1);
  });

  it('says what is wrong, and nothing of journeys that were given up', async () => {
    server.fails = true;
    await arriveAt(50_000);
    expect(recorder.trouble).toMatch(/cannot be reached/);
    server.fails = false;
    await arriveAt(60_000);
    expect(recorder.trouble).toBeNull();
    expect(written()).toHaveLength(20);
  });

  it('asks for a breakout room once it is watched, and for the main room again', async () => {
    await arriveAt(20_000);
    server.asked = [];
    recorder.watch('r1');
    await pass(500);
    expect(server.asked.every((path) => path.endsWith('&room=r1'))).toBe(true);
    expect(server.asked[0]).toContain('t=20000');
    server.asked = [];
    recorder.watch(null);
    await pass(500);
    expect(server.asked.length).toBeGreaterThan(0);
    expect(server.asked.some((path) => path.includes('room='))).toBe(false);
  });

  it('stops at its end', async () => {
    await arriveAt(LENGTH - 1_000);
    recorder.toggle();
    await pass(3_000);
    expect(recorder.playing).toBe(false);
    expect(recorder.time).toBe(LENGTH);
  });
});

it('says what to do when a link was taken back meanwhile', async () => {
  server.gone = true;
  await arriveAt(60_000);
  expect(recorder.trouble).toMatch(/no such recording.*taken back.*ask whoever teaches/);
});

describe('looking at another board', () => {
  const there = (board: string) => recorder.view(`board/${board}`) !== undefined;

  it('brings it, keeps it wherever one goes, and lets it go', async () => {
    expect(there('c')).toBe(false);
    recorder.look({ board: 'c', page: 'p1' });
    await pass(1);
    expect(there('c')).toBe(true);
    await arriveAt(60_000);
    expect([there('b'), there('c')]).toEqual([true, true]);
    recorder.look(null);
    await arriveAt(90_000);
    expect([recorder.looking, there('c')]).toEqual([null, false]);
  });

  it('brings it again where something was left out', async () => {
    recorder.look({ board: 'c', page: null });
    await pass(1);
    server.seam = true;
    await arriveAt(100_000);
    recorder.toggle();
    await pass(4_000);
    expect(server.asked.filter((path) => path.includes('/at?') && path.includes('board=c')).length).toBe(3);
    expect(there('c')).toBe(true);
  });

  it('goes to a moment and a page at once, of boards alone that were recorded', async () => {
    recorder.seek(30_000, { board: 'c', page: 'p1' });
    await pass(300);
    expect([there('c'), recorder.looking?.board]).toEqual([true, 'c']);
    recorder.seek(31_000, { board: 'staff', page: 'p1' });
    await pass(300);
    expect(recorder.looking).toBeNull();
    expect(server.asked.some((path) => path.includes('staff'))).toBe(false);
  });
});
