import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CopyWork, Incoming } from '../../api/shapes';
import { useSitting } from '../../live/hooks';
import { boardView, mark } from '../../testing/boards';
import { classFacts, EXCHANGE, PLACE, place, SITTING, sitting, STAFF, staff, own } from '../../testing/classes';
import { connection, FARAH, ODALYS } from '../../testing/live';
import { boardNamed, copiesOf, copyWords } from './copies';
import { Teaching } from './Teaching';

const server = vi.hoisted(() => ({ copies: [] as CopyWork[], posted: [] as unknown[], patched: [] as unknown[] }));
vi.mock('../../api/http', async (original) => ({
  ...(await original<object>()),
  get: (path: string) => {
    if (path.endsWith('/copies')) return Promise.resolve({ copies: server.copies });
    if (path.endsWith('/expected')) return Promise.resolve({ people: [{ id: 'farah', name: 'Farah Lindqvist' }] });
    return new Promise(() => {});
  },
  post: (...call: unknown[]) => (server.posted.push(call), Promise.resolve({ board: 'forward' })),
  patch: (...call: unknown[]) => (server.patched.push(call), Promise.resolve({})),
}));

beforeEach(() => {
  vi.stubGlobal('matchMedia', (query: string) => ({
    matches: query.includes('min-width'),
    media: query,
    addEventListener: () => {},
    removeEventListener: () => {},
  }));
  server.copies = [];
  server.posted = [];
  server.patched = [];
});

const COPIES = [
  { board: 'c1', of: 'b1', person: 'farah' },
  { board: 'c2', of: 'b1', person: 'jonas' },
];

const joined = (you = FARAH, streams: Record<string, unknown> = {}) => {
  const live = connection({
    you,
    streams: {
      [SITTING]: sitting({ handed: ['b1'] }),
      [PLACE]: place({ shown: { board: 'b1', page: 'p1' } }),
      [EXCHANGE]: { posts: [], pinned: [] },
      [`own/s.${you.id}`]: own(),
      'board/b1': boardView(mark('m')),
      ...(you.staff && { [STAFF]: staff({ copies: COPIES }) }),
      ...streams,
    },
  });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>
      <MemoryRouter>{live.wrapper({ children })}</MemoryRouter>
    </QueryClientProvider>
  );
  const Room = () => <Teaching sitting={useSitting('s')!} you={you} facts={classFacts()} />;
  const { unmount } = render(<Room />, { wrapper });
  const followed = () => live.socket.said.filter(({ t }) => t === 'follow').map(({ streams }) => streams);
  return { ...live, followed, unmount };
};
let seq = 0;
beforeEach(() => (seq = 0));
const entry = (stream: string, kind: string, body: object, by = 'odalys') =>
  ({ t: 'entry', stream, seq: ++seq, at: 1, by, kind, body }) as unknown as Incoming;

describe('what is for somebody and not for all', () => {
  it('is their own copy, where the board of which it is one is on show, and the board for all if they wish', () => {
    const { tell } = joined(FARAH, { 'own/s.farah': own({ copies: [COPIES[0]!] }), 'board/c1': boardView() });
    expect(screen.getByLabelText('Your copy').textContent).toContain('This is your own copy');
    fireEvent.click(screen.getByRole('button', { name: 'See the board for all' }));
    expect(screen.getByLabelText('Your copy').textContent).toContain('This is the board that all see');
    fireEvent.click(screen.getByRole('button', { name: 'Back to your copy' }));
    expect(screen.getByLabelText('Your copy').textContent).toContain('This is your own copy');
    tell(entry(SITTING, 'gathered_in', { board: 'b1' }));
    expect(screen.queryByLabelText('Your copy')).toBeNull();
    fireEvent.click(within(screen.getByLabelText('Also for you')).getByRole('button', { name: 'Your copy of Names' }));
    expect(screen.getByLabelText('What the class sees').textContent).toContain('You look at another');
  });

  it('is handed out and given while one is there', () => {
    const { tell } = joined(FARAH, { [SITTING]: sitting() });
    tell(entry(SITTING, 'handed_out', { board: 'b1' }));
    expect(screen.queryByLabelText('Your copy')).toBeNull();
    tell(entry('own/s.farah', 'copy_given', { board: 'c1', of: 'b1' }));
    tell({ t: 'gained', stream: 'board/c1', head: 0, view: boardView() });
    expect(screen.getByLabelText('Your copy')).toBeTruthy();
  });

  it('is a board that names them, until it does not: then they are back at what is on show', () => {
    const boards = [{ id: 'b5', name: 'For Farah', first_page: 'p1' }];
    const { tell } = joined(FARAH, { 'own/s.farah': own({ boards }), 'board/b5': boardView() });
    fireEvent.click(screen.getByRole('button', { name: 'For Farah' }));
    expect(screen.getByLabelText('What the class sees')).toBeTruthy();
    tell(entry('own/s.farah', 'boards', { boards: [] }));
    tell({ t: 'lost', stream: 'board/b5', says: 'That board is no longer open to you.' });
    expect(screen.queryByText('No board is on show yet.')).toBeNull();
    expect(screen.queryByRole('button', { name: 'For Farah' })).toBeNull();
  });
});

describe('a board of one’s own', () => {
  it('is made by whoever may add boards, with a name', async () => {
    joined(FARAH);
    fireEvent.click(screen.getByRole('button', { name: 'Make a board of your own' }));
    fireEvent.click(screen.getByRole('button', { name: 'Make it' }));
    expect(server.posted).toEqual([]);
    fireEvent.change(screen.getByLabelText('What it is called'), { target: { value: ' Sketches ' } });
    fireEvent.click(screen.getByRole('button', { name: 'Make it' }));
    await waitFor(() => expect(server.posted).toEqual([['/api/classes/s/own-boards', { name: 'Sketches' }]]));
  });
});

describe('everybody’s copies', () => {
  const facts = { sitting: sitting(), place: place({ hands: ['jonas'] }), staff: staff({ copies: COPIES }) };
  const at = 1_000_000;

  it('come in the order in which they need a look', () => {
    const order = (signals: string[], edits: Record<string, number>, hands: string[] = []) => {
      const given = signals.map((person) => ({ person, signal: 'done' as const, at }));
      const work = COPIES.map((copy) => ({
        ...copy,
        edits: edits[copy.person] ?? 0,
        at: edits[copy.person] ? at : null,
      }));
      return copiesOf('b1', { ...facts, place: place({ hands, signals: given }), work }).map(({ person }) => person);
    };
    expect(order([], {}, ['jonas'])).toEqual(['jonas', 'farah']);
    expect(order([], { farah: 3 })).toEqual(['jonas', 'farah']);
    expect(order(['jonas'], { farah: 3 })).toEqual(['farah', 'jonas']);
    expect(copiesOf('b2', { ...facts, work: [] })).toEqual([]);
  });

  it('are told in words', () => {
    const [jonas, farah] = copiesOf('b1', { ...facts, work: [{ ...COPIES[0]!, edits: 2, at }] });
    expect(copyWords(jonas!, at)).toBe('hand up · nothing on it yet');
    expect(copyWords(farah!, at + 125_000)).toBe('2 changes, 2 min ago');
    expect(boardNamed('c2', facts)).toEqual({ id: 'c2', name: 'Jonas’s copy of Names' });
    expect(boardNamed('nowhere', facts)).toBeUndefined();
  });

  it('hang on a wall, each followed as long as one looks, and are opened from there', async () => {
    server.copies = [{ ...COPIES[0]!, edits: 4, at: Date.now() }];
    const { tell, followed, asked, socket } = joined(ODALYS);
    fireEvent.keyDown(document.body, { key: 'u' });
    const wall = screen.getByLabelText('Everybody’s copy of Names');
    expect(followed().at(-1)).toEqual(['board/c1', 'board/c2']);
    await waitFor(() => expect(wall.textContent).toContain('1 of 2 have begun'));
    tell({ t: 'gained', stream: 'board/c1', head: 0, view: boardView(mark('hers', { by: 'farah' })) });
    fireEvent.click(within(wall).getByRole('button', { name: /Farah/ }));
    expect(followed().at(-1)).toEqual(['board/c1']);
    expect(screen.getByLabelText('This copy').textContent).toContain('Only Farah and those who teach see this.');
    fireEvent.click(screen.getByRole('button', { name: 'Show it to all without a name' }));
    await waitFor(() => expect(asked()).toEqual([['class.show', { board: 'forward', page: 'p1' }]]));
    tell({ t: 'done', id: socket.said.find(({ t }) => t === 'do')!.id as string, seq: 1 });
    expect(server.posted).toEqual([['/api/classes/s/boards', { copy: 'c1', named: false }]]);
    await waitFor(() => expect(screen.queryByLabelText('This copy')).toBeNull());
    expect(followed().at(-1)).toEqual([]);
  });

  it('are followed again after the connection was lost', () => {
    const { socket, client, tell } = joined(ODALYS);
    fireEvent.keyDown(document.body, { key: 'u' });
    const before = socket.said.filter(({ t }) => t === 'follow').length;
    const streams = client.names().map((stream) => ({ stream, head: 0, entries: [] }));
    tell({ t: 'welcome', v: 2, you: ODALYS, rights: {}, streams });
    expect(socket.said.filter(({ t }) => t === 'follow').length).toBe(before + 1);
  });
});

describe('the boards of the sheet', () => {
  it('are handed out and gathered in, and given to some', async () => {
    const { asked } = joined(ODALYS, { [SITTING]: sitting({ handed: [] }) });
    fireEvent.click(await screen.findByRole('button', { name: 'Hand out' }));
    expect(asked()).toEqual([['class.hand_out', { board: 'b1', on: true }]]);
    fireEvent.click(screen.getByRole('button', { name: '2 copies' }));
    expect(screen.getByLabelText('Everybody’s copy of Names')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Who sees which board' }));
    fireEvent.mouseDown(screen.getByLabelText('Names'));
    fireEvent.click(screen.getByRole('option', { name: 'Some students, chosen by name' }));
    await waitFor(() => expect(server.patched).toEqual([['/api/boards/b1', { audience: 'people' }]]));
  });

  it('say for whom they are', async () => {
    const boards = [{ id: 'b5', name: 'Help', audience: 'people' as const, people: ['farah', 'gone'] }];
    joined(ODALYS, { [STAFF]: staff({ boards }) });
    expect((await screen.findByRole('button', { name: /^Help/ })).textContent).toContain(
      'for Farah, 1 who is not here',
    );
  });
});

describe('pairs', () => {
  const round = { round: 'r1', size: 2, pairs: 1 };
  const people = [
    { id: 'jonas', name: 'Jonas Whitlock' },
    { id: 'farah', name: 'Farah Lindqvist' },
  ];

  it('are told to each, with who goes first and a way to write that no rule is in', async () => {
    const { tell, asked } = joined(FARAH, { 'own/s.farah': own({ pair: { round: 'r1', people } }) });
    expect(screen.queryByLabelText('Your pair')).toBeNull();
    tell(entry(PLACE, 'pairs_drawn', round));
    expect(screen.getByLabelText('Your pair').textContent).toContain('You work with Jonas. Jonas goes first.');
    fireEvent.click(screen.getByRole('button', { name: 'Write to Jonas' }));
    fireEvent.change(screen.getByPlaceholderText(/Write/), { target: { value: 'You first?' } });
    fireEvent.keyDown(screen.getByPlaceholderText(/Write/), { key: 'Enter' });
    await waitFor(() => expect(asked().at(-1)?.[0]).toBe('exchange.begin_thread'));
    expect(asked().at(-1)?.[1]).toMatchObject({ people: ['jonas'], staff: false });
    tell(entry(PLACE, 'pairs_over', {}));
    expect(screen.queryByLabelText('Your pair')).toBeNull();
  });

  it('are drawn by staff, each with a copy if wished, told how far they are, and ended', async () => {
    const { tell, asked } = joined(ODALYS);
    fireEvent.click(await screen.findByLabelText('each with a copy of the board'));
    fireEvent.click(screen.getByRole('button', { name: 'Draw pairs' }));
    await waitFor(() =>
      expect(server.posted).toEqual([['/api/classes/s/places/main/pairs', { size: 2, board: 'b1' }]]),
    );
    tell(entry(STAFF, 'paired', { round: 'r1', seed: 1, pairs: [{ people: ['jonas', 'farah'] }] }));
    tell(entry(PLACE, 'pairs_drawn', round));
    const pairs = screen.getByLabelText('Pairs');
    expect(pairs.textContent).toContain('0 of 1 pairs done');
    ['jonas', 'farah'].forEach((person) => tell(entry(PLACE, 'signalled', { signal: 'done' }, person)));
    expect(pairs.textContent).toContain('1 of 1 pairs doneJonas and Farah: done');
    fireEvent.click(within(pairs).getByRole('button', { name: 'End the pairs' }));
    expect(asked().at(-1)).toEqual(['class.end_pairs', {}]);
  });
});

describe('the regions beside the paper', () => {
  beforeEach(() => localStorage.clear());
  const written = { id: 'p', to: 'everyone', name: 'Jonas Whitlock', text: 'Which lights?' };

  it('are folded by each for themselves, kept, and tell what is new', () => {
    const { tell, unmount } = joined(FARAH);
    fireEvent.click(screen.getByRole('button', { name: 'Fold the exchange' }));
    expect(screen.getByLabelText('Posts').checkVisibility()).toBe(false);
    tell(entry(EXCHANGE, 'posted', written, 'jonas'));
    expect(screen.getByRole('button', { name: 'Exchange, 1 new' })).toBeTruthy();
    unmount();
    joined(FARAH);
    fireEvent.click(screen.getByRole('button', { name: /^Exchange/ }));
    expect(screen.getByLabelText('Posts').checkVisibility()).toBe(true);
  });

  it('are as the step has them, unless one has made them otherwise', () => {
    const steps = sitting().steps.map((step) => ({ ...step, leads: 'words' as const }));
    const { unmount } = joined(FARAH, { [SITTING]: sitting({ steps }) });
    fireEvent.click(screen.getByRole('button', { name: 'Narrower' }));
    expect(screen.getByRole('button', { name: 'Wider' })).toBeTruthy();
    unmount();
    localStorage.setItem('veranda.regions.farah', '{"words":"enormous","sheet":3}');
    joined(FARAH);
    expect(screen.getByRole('button', { name: 'Wider' })).toBeTruthy();
  });
});
