import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { get, keepToken, patch, post, Refused } from './http';
import { untilReady, upload } from './upload';

interface Asked {
  path: string;
  method: string;
  headers: Record<string, string>;
  body: unknown;
}
type Answer = [status: number, body: unknown] | 'away';

/** A server whose answers the test gives, one after the other; what it was asked is kept. */
let asked: Asked[];
let answers: (Answer | ((asked: Asked) => Answer))[];
beforeEach(() => {
  asked = [];
  answers = [];
  keepToken('token-1');
  vi.stubGlobal('fetch', (path: string, init: Asked & { signal?: AbortSignal }) => {
    const one = { path, method: init.method, headers: init.headers, body: init.body };
    asked.push(one);
    if (init.signal?.aborted) return Promise.reject(new DOMException('Aborted', 'AbortError'));
    const next = answers.shift() ?? ([500, {}] as Answer);
    const answer = typeof next === 'function' ? next(one) : next;
    if (answer === 'away') return Promise.reject(new TypeError('Failed to fetch'));
    return Promise.resolve(new Response(JSON.stringify(answer[1]), { status: answer[0] }));
  });
});
afterEach(() => vi.useRealTimers());

describe('asking the server', () => {
  it('sends the token with what changes something', async () => {
    answers = [[200, { id: 'l' }]];
    await expect(post('/api/lessons', { title: 'Fog' })).resolves.toEqual({ id: 'l' });
    expect(asked[0]).toMatchObject({ method: 'POST', body: '{"title":"Fog"}' });
    expect(asked[0]!.headers['X-CSRF-Token']).toBe('token-1');
  });

  it('takes a fresh token when who one is has changed, and tries again once', async () => {
    answers = [
      [403, { code: 'stale_page', says: 'Old.' }],
      [200, { csrf: 'token-2' }],
      [200, { ok: 1 }],
    ];
    await expect(patch('/api/sticks', {})).resolves.toEqual({ ok: 1 });
    expect(asked.map(({ path }) => path)).toEqual(['/api/sticks', '/api/session', '/api/sticks']);
    expect(asked[2]!.headers['X-CSRF-Token']).toBe('token-2');
    answers = [
      [403, { code: 'stale_page', says: 'Old.' }],
      [200, { csrf: 'token-3' }],
      [403, { code: 'stale_page', says: 'This page has been open for too long.' }],
    ];
    await expect(patch('/api/sticks', {})).rejects.toThrow('open for too long');
  });

  it('says what the server says, or what there is to say without it', async () => {
    answers = [[422, { code: 'step_untitled', says: 'Every step needs a title.' }], 'away', [502, 'no JSON']];
    const refused = await get('/a').catch((error: Refused) => error);
    expect(refused).toMatchObject({ code: 'step_untitled', message: 'Every step needs a title.', status: 422 });
    await expect(get('/a')).rejects.toMatchObject({ code: 'offline', status: 0 });
    await expect(get('/a')).rejects.toMatchObject({
      code: 'fault',
      message: 'Something went wrong. Try again in a moment.',
    });
  });
});

describe('bringing a file', () => {
  const file = new File([new Uint8Array(1_200_000)], 'deck.pdf');
  const begun = { id: 'u', offset: 0, size: file.size, piece: 512 * 1024 };
  /** Takes a piece as the server does: only where it left off. */
  const piece =
    (from: number, more: object = {}): ((asked: Asked) => Answer) =>
    ({ headers, body }) =>
      Number(headers['Upload-Offset']) === from
        ? [200, { ...begun, offset: from + (body as Blob).size, ...more }]
        : [409, { code: 'wrong_offset', says: 'Elsewhere.' }];

  it('sends it in pieces and tells how far it is', async () => {
    answers = [[201, begun], piece(0), piece(524_288), piece(1_048_576, { material: 'm' })];
    const shares: number[] = [];
    await expect(upload(file, { course: 'navigation' }, { onProgress: (share) => shares.push(share) })).resolves.toBe(
      'm',
    );
    expect(shares.map((share) => share.toFixed(2))).toEqual(['0.44', '0.87', '1.00']);
  });

  it('goes on after a break from where the server has got to', async () => {
    vi.useFakeTimers();
    answers = [[201, begun], piece(0), 'away', [200, { ...begun, offset: 900_000 }], piece(900_000, { material: 'm' })];
    const done = upload(file, { course: 'navigation' });
    await vi.advanceTimersByTimeAsync(2_000);
    await expect(done).resolves.toBe('m');
  });

  it('gives up when the server does not want it, and throws away what was sent when it is cancelled', async () => {
    answers = [
      [201, begun],
      [422, { code: 'file_too_large', says: 'Too large.' }],
    ];
    await expect(upload(file, { course: 'navigation' })).rejects.toThrow('Too large.');
    const cancel = new AbortController();
    answers = [
      [201, begun],
      () => {
        cancel.abort();
        return [200, { ...begun, offset: 524_288 }];
      },
      [500, {}],
      [200, {}],
    ];
    await expect(upload(file, { course: 'navigation' }, { signal: cancel.signal })).rejects.toThrow();
    await vi.waitFor(() => expect(asked.at(-1)).toMatchObject({ method: 'DELETE', path: '/api/uploads/u' }));
  });

  it('waits until a material is ready, or will not be', async () => {
    vi.useFakeTimers();
    answers = [
      [200, { state: 'waiting' }],
      [200, { state: 'working' }],
      [200, { state: 'failed' }],
    ];
    const done = untilReady<{ state: string }>('/api/materials/m');
    await vi.advanceTimersByTimeAsync(2_000);
    await expect(done).resolves.toEqual({ state: 'failed' });
  });
});
