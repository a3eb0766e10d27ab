import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Glimpse, Incoming, PlaceView } from '../../api/shapes';
import { nearer, viewOf } from '../../board/hand/useTogether';
import { useSitting } from '../../live/hooks';
import { boardView, mark } from '../../testing/boards';
import { classFacts, EXCHANGE, PLACE, place, SITTING, sitting, STAFF, staff, own } from '../../testing/classes';
import { connection, FARAH, ODALYS } from '../../testing/live';
import { Teaching } from './Teaching';

const SHOWN = { board: 'b1', page: 'p1' };
const paper = () => screen.getByTestId('paper').getAttribute('viewBox')!.split(' ').map(Number);
const line = () => screen.queryByLabelText('What the class sees');
const seen = (body: Partial<Extract<Glimpse, { kind: 'view' }>['body']>, by = 'odalys') =>
  ({ t: 'now', stream: PLACE, all: [{ by, kind: 'view', body }] }) as unknown as Incoming;
const entry = (kind: string, by: string, seq: number, body = {}) =>
  ({ t: 'entry', stream: PLACE, kind, by, seq, at: 1, body }) as unknown as Incoming;

vi.mock('../../api/http', async (original) => ({ ...(await original<object>()), get: () => new Promise(() => {}) }));

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('matchMedia', (query: string) => ({
    matches: query.includes('min-width'),
    media: query,
    addEventListener: () => {},
    removeEventListener: () => {},
  }));
});
afterEach(() => {
  // While there are pictures still.
  cleanup();
  vi.useRealTimers();
});

const pass = (ms: number) => act(() => vi.advanceTimersByTime(ms));

async function joined(you = FARAH, facts: Partial<PlaceView> = {}) {
  const live = connection({
    you,
    streams: {
      [SITTING]: sitting(),
      [PLACE]: place({ shown: SHOWN, ...facts }),
      [EXCHANGE]: { posts: [], pinned: [] },
      [`own/s.${you.id}`]: own(),
      'board/b1': boardView(mark('m')),
      ...(you.staff && { [STAFF]: staff(), 'board/b3': { ...boardView(), pages: ['p4'] } }),
    },
  });
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>{live.wrapper({ children })}</MemoryRouter>
    </QueryClientProvider>
  );
  const Room = () => <Teaching sitting={useSitting('s')!} you={you} facts={classFacts()} />;
  render(<Room />, { wrapper });
  // What is fetched when it is needed has been fetched below.
  await act(async () => {
    await import('./Sheet');
  });
  const told = () => live.socket.said.filter(({ t, kind }) => t === 'now' && kind === 'view').map(({ body }) => body);
  return { ...live, told };
}

describe('a class that is kept together', () => {
  const rect = { ...SHOWN, x: 400, y: 100, w: 400, h: 250 };

  it('has the view of whoever leads, all of it, and of nobody else', async () => {
    const { tell } = await joined(FARAH, { leader: 'odalys' });
    tell(seen({ ...rect, x: 900 }, 'jonas'));
    pass(2_000);
    const before = paper();
    tell(seen(rect));
    pass(2_000);
    expect(paper()).not.toEqual(before);
    const [x, y, w, h] = paper() as [number, number, number, number];
    expect([x <= 400.5, y <= 100.5, x + w >= 799.5, y + h >= 349.5]).toEqual([true, true, true, true]);
    expect(x + w / 2).toBeCloseTo(600, 0);
    expect(line()!.textContent).toContain('You see what Odalys sees.');
  });

  it('lets one look elsewhere, says so, and takes one back by one key', async () => {
    const { tell } = await joined(FARAH, { leader: 'odalys' });
    tell(seen(rect));
    pass(2_000);
    const led = paper();
    fireEvent.keyDown(screen.getByTestId('paper'), { key: '+' });
    fireEvent.wheel(screen.getByTestId('paper'), { deltaY: 300 });
    tell(seen({ ...rect, x: 0 }));
    tell(seen(rect));
    pass(2_000);
    expect(paper()).not.toEqual(led);
    expect(line()!.textContent).toContain('You look elsewhere than Odalys.');
    fireEvent.keyDown(document.body, { key: 'r' });
    pass(2_000);
    expect(paper().map(Math.round)).toEqual(led.map(Math.round));
    expect(screen.queryByRole('button', { name: 'Back to Odalys' })).toBeNull();
  });

  it('stays where it is while whoever leads looks at what it cannot see, and roams when it is let', async () => {
    const { tell } = await joined(FARAH, { leader: 'odalys' });
    tell(seen({ elsewhere: true }));
    expect(line()!.textContent).toContain('Odalys looks at something else for a moment. You stay here.');
    tell(entry('roaming', 'odalys', 1));
    expect(line()).toBeNull();
  });

  it('is told the view while one leads, also those who come late', async () => {
    const { told } = await joined(ODALYS, { leader: 'odalys' });
    pass(100);
    expect(told()).toHaveLength(1);
    expect(told()[0]).toEqual({
      ...SHOWN,
      x: expect.any(Number),
      y: expect.any(Number),
      w: expect.any(Number),
      h: expect.any(Number),
    });
    pass(6_000);
    expect(told()).toHaveLength(3);
  });

  it('learns that one looks at a board for staff, not which', async () => {
    const { told, asked } = await joined(ODALYS, { leader: 'odalys' });
    fireEvent.click(screen.getByRole('button', { name: /Answers/ }));
    pass(3_000);
    expect(told().at(-1)).toEqual({ elsewhere: true });
    expect(asked()).toEqual([]);
    expect(line()!.textContent).toContain('Only you look at this.');
    fireEvent.keyDown(document.body, { key: 'r' });
    pass(3_000);
    expect(told().at(-1)).toMatchObject(SHOWN);
  });

  it('is led and let go by one key; nobody is told anything by those who do not lead', async () => {
    const { asked, tell, told } = await joined(ODALYS);
    fireEvent.keyDown(document.body, { key: 'k' });
    tell(entry('together', 'tomas', 1));
    expect(screen.getByRole('button', { name: 'Lead yourself' })).toBeTruthy();
    fireEvent.keyDown(document.body, { key: 'k' });
    expect(asked()).toEqual([
      ['class.keep_together', { on: true }],
      ['class.keep_together', { on: false }],
    ]);
    pass(6_000);
    expect(told()).toEqual([]);
  });
});

describe('the view of another', () => {
  it('is shown whole on a paper of any shape, with the same middle', () => {
    for (const size of [
      { width: 390, height: 500 },
      { width: 1_600, height: 300 },
      { width: 100, height: 100 },
    ]) {
      const rect = { x: 37, y: -80, w: 730, h: 411 };
      const { scale, x, y } = viewOf(rect, size);
      expect(size.width / scale).toBeGreaterThanOrEqual(rect.w - 1e-9);
      expect(size.height / scale).toBeGreaterThanOrEqual(rect.h - 1e-9);
      expect(x + size.width / scale / 2).toBeCloseTo(rect.x + rect.w / 2);
      expect(y + size.height / scale / 2).toBeCloseTo(rect.y + rect.h / 2);
    }
  });

  it('is come to in a number of pictures, and then rests', () => {
    const goal = { scale: 2, x: 900, y: -40 };
    let view = { scale: 0.4, x: 0, y: 700 };
    let pictures = 0;
    while (view !== goal && pictures < 60) [view, pictures] = [nearer(view, goal), pictures + 1];
    expect(view).toBe(goal);
    expect(pictures).toBeGreaterThan(5);
  });
});
