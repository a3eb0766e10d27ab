import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, render, screen } from '@testing-library/react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Incoming, Session } from '../api/shapes';
import { FakeSocket } from '../testing/FakeSocket';
import { allShortcuts } from '../parts/hooks/shortcuts';
import { ALL_RIGHTS, FARAH, ODALYS } from '../testing/live';
import { classFacts, EXCHANGE, PLACE, place, SITTING, sitting, staff } from '../testing/classes';
import ClassScreen from './ClassScreen';

let session: Session;
let facts: unknown;
vi.mock('../api/http', async (original) => ({
  ...(await original<object>()),
  get: (path: string) => {
    if (path === '/api/session') return Promise.resolve(session);
    if (path.endsWith('/activities')) return Promise.resolve({ activities: [] });
    if (path.startsWith('/api/lessons/')) return Promise.resolve({ boards: [{ id: 'b1', name: 'Lights recap' }] });
    return facts instanceof Error ? Promise.reject(facts) : Promise.resolve(facts);
  },
}));

const sockets: FakeSocket[] = [];
beforeEach(() => {
  sockets.length = 0;
  session = { csrf: 't', person: { id: 'farah', name: 'Farah Lindqvist', teaches: false } };
  facts = classFacts();
  class Socket extends FakeSocket {
    constructor() {
      super();
      sockets.push(this);
    }
  }
  vi.stubGlobal('WebSocket', Socket);
  vi.stubGlobal('matchMedia', () => ({ matches: true, addEventListener: () => {}, removeEventListener: () => {} }));
  vi.stubGlobal('requestAnimationFrame', (draw: () => void) => setTimeout(draw, 0));
});

async function opened() {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter initialEntries={['/classes/s']}>
        <Routes>
          <Route path="/classes/:id" element={<ClassScreen />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  await act(() => new Promise((wait) => setTimeout(wait, 20)));
}
const tell = (message: Incoming) =>
  act(async () => {
    sockets.at(-1)!.tell(message);
    await new Promise((wait) => setTimeout(wait, 20));
  });
const welcome = (streams: Record<string, unknown>): Incoming => ({
  t: 'welcome',
  v: 2,
  you: FARAH,
  rights: { [PLACE]: ALL_RIGHTS },
  streams: Object.entries(streams).map(([stream, view]) => ({ stream, head: 0, view })),
});

describe('a class by its address', () => {
  it('connects once, and does not wait for anything before it does', async () => {
    await opened();
    expect(sockets).toHaveLength(1);
    expect(screen.getByRole('status').textContent).toContain('Going to the class');
  });

  it('goes from the waiting room into the class and to its end', async () => {
    await opened();
    const waits = { title: 'Fog', course: 'Navigation', starts_at: Date.now() + 60_000, minutes: 60, rehearsal: false };
    await tell(welcome({ 'place/s.waiting': place({ welcome: waits }) }));
    expect(screen.getByText(/You need do nothing but wait/)).toBeTruthy();
    expect((await screen.findByRole('link', { name: 'Lights recap' })).getAttribute('href')).toBe(
      '/lessons/rules?board=b1',
    );
    await tell({ t: 'gained', stream: SITTING, head: 1, view: sitting() });
    await tell({ t: 'gained', stream: PLACE, head: 1, view: place() });
    await tell({ t: 'gained', stream: EXCHANGE, head: 0, view: { posts: [], pinned: [] } });
    expect(screen.getByRole('button', { name: 'Raise my hand' })).toBeTruthy();
    await tell({ t: 'entry', stream: SITTING, seq: 2, at: Date.now(), by: 'odalys', kind: 'ended', body: {} });
    expect(await screen.findByText('The class has ended')).toBeTruthy();
  });

  it('has each key do one thing, for whoever teaches', async () => {
    session = { csrf: 't', person: { id: 'odalys', name: 'Odalys Brandt', teaches: true } };
    await opened();
    const board = { pages: ['p1'], page_facts: [], marks: [], authors: [], undo: [], top: 0, locked: false };
    await tell({
      ...welcome({
        [SITTING]: sitting({ status: 'open', boards: [{ id: 'b1', name: 'Lights' }] }),
        [PLACE]: place({ shown: { board: 'b1', page: 'p1' } }),
        [EXCHANGE]: { posts: [], pinned: [] },
        'staff/s': staff(),
        'board/b1': board,
      }),
      you: ODALYS,
    } as Incoming);
    await act(() => new Promise((wait) => setTimeout(wait, 400)));
    const keys = allShortcuts().map(([key]) => key);
    expect(keys).toEqual(expect.arrayContaining(['o', 'g', 'w', 'e', 't', ']']));
    expect(keys.filter((key, i) => keys.indexOf(key) !== i)).toEqual([]);
  });

  it('says why it is not open, before and after a cut', async () => {
    await opened();
    await tell({ t: 'error', code: 'not_invited', says: 'You are not invited to this class. Ask for its link.' });
    expect(screen.getAllByRole('alert')[0]!.textContent).toContain('You are not invited');
  });

  it('says what went wrong with its facts, instead of waiting for ever', async () => {
    facts = new Error('There is no such class.');
    await opened();
    expect((await screen.findAllByRole('alert'))[0]!.textContent).toContain('There is no such class.');
  });

  it('tells that the server cannot be reached while it tries', async () => {
    await opened();
    await act(async () => {
      sockets[0]!.readyState = 3;
      sockets[0]!.onclose();
      await new Promise((wait) => setTimeout(wait, 30));
    });
    expect(screen.getByText(/The connection is away/)).toBeTruthy();
  });

  it('asks who one is where nobody is signed in', async () => {
    session = { csrf: 't', person: null };
    await opened();
    expect(await screen.findByLabelText(/password/i)).toBeTruthy();
  });
});
