import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { ComponentType, ReactElement } from 'react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { RecordingFacts } from '../api/shapes';
import { classFacts, EXCHANGE, own, place, PLACE, SITTING, sitting } from '../testing/classes';
import { FakeSocket } from '../testing/FakeSocket';
import { connection, ODALYS } from '../testing/live';
import { lesson, step } from '../testing/lessons';
import { Teaching } from './class/Teaching';
import Lesson from './Lesson';
import Player from './Player';

/** Components that go wrong, by name. */
const broken = vi.hoisted(() => new Set<string>());
const fragile = vi.hoisted(
  () =>
    (name: string) =>
    async (original: () => Promise<unknown>): Promise<Record<string, unknown>> => {
      const parts = (await original()) as Record<string, ComponentType>;
      const Whole = parts[name]!;
      const Fragile = (props: object) => {
        if (broken.has(name)) throw new Error(`${name} is broken`);
        return <Whole {...props} />;
      };
      return { ...parts, [name]: Fragile };
    },
);
vi.mock('./player/BoardThen', fragile('BoardThen'));
vi.mock('./player/WordsThen', fragile('WordsThen'));
vi.mock('./player/Scrubber', fragile('Scrubber'));
vi.mock('./lesson/RunSheet', fragile('RunSheet'));
vi.mock('./lesson/LessonInspector', fragile('LessonInspector'));
vi.mock('./lesson/Readiness', fragile('Readiness'));
vi.mock('./class/ClassRibbon', fragile('ClassRibbon'));
vi.mock('./class/Bench', fragile('Bench'));
vi.mock('../parts/exchange/Exchange', fragile('Exchange'));

const answers = vi.hoisted(() => ({ by: {} as Record<string, unknown> }));
vi.mock('../api/http', async (original) => ({
  ...(await original<object>()),
  get: (path: string) => {
    const found = answers.by[path.split('?')[0]!];
    return found === undefined ? new Promise(() => {}) : Promise.resolve(found);
  },
}));

beforeEach(() => {
  broken.clear();
  vi.spyOn(console, 'error').mockImplementation(() => {});
  vi.stubGlobal('matchMedia', () => ({ matches: true, addEventListener: () => {}, removeEventListener: () => {} }));
});
afterEach(cleanup);

const shown = async (element: ReactElement, path: string, at: string) => {
  await act(async () => {
    render(
      <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
        <MemoryRouter initialEntries={[at]}>
          <Routes>
            <Route path={path} element={element} />
          </Routes>
        </MemoryRouter>
      </QueryClientProvider>,
    );
    await new Promise((later) => setTimeout(later, 20));
  });
};

/** What is there of each region while all is well. */
const whole = (regions: Record<string, () => Element | null>) =>
  Object.entries(regions).filter(([, region]) => region() !== null);

async function expectOnly(name: string, regions: Record<string, () => Element | null>, open: () => Promise<void>) {
  broken.add(name);
  await open();
  const left = () => whole(regions).map(([region]) => region);
  await waitFor(() => expect(left()).toEqual(Object.keys(regions).filter((region) => region !== name)));
  expect(screen.getAllByRole('alert').some((one) => one.textContent?.includes('cannot be shown'))).toBe(true);
  broken.delete(name);
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(whole(regions).map(([region]) => region)).toEqual(Object.keys(regions));
}

describe('a part of the player that goes wrong', () => {
  const facts: RecordingFacts = {
    ...{ id: 's', title: 'Rules', course: 'Navigation', at: 1_000, opened: 1_000, length: 60_000, cuts: 0 },
    ...{ stretches: [[1_000, 61_000]], chapters: [], boards: [], rooms: [], tracks: [], people: [] },
    ...{ staff: true, shared: false, sound: null, you: null, stopped: null },
  } as unknown as RecordingFacts;
  const regions = {
    BoardThen: () => screen.queryByText(/One moment|No board was on show/),
    WordsThen: () => screen.queryByText('Exchange at this moment'),
    Scrubber: () => screen.queryByRole('slider'),
  };
  const open = () => {
    const at = { t: 0, wall: 1_000, streams: {} };
    const path = '/api/recordings/s';
    answers.by = { [path]: facts, [`${path}/at`]: at, [`${path}/entries`]: { from: 0, to: 60_000, entries: [] } };
    return shown(<Player />, '/recordings/:id', '/recordings/s');
  };

  it.each(Object.keys(regions))('is only %s', (name) => expectOnly(name, regions, open));
});

describe('a part of a lesson that goes wrong', () => {
  const regions = {
    RunSheet: () => screen.queryByTestId('total'),
    LessonInspector: () => screen.queryByRole('complementary', { name: 'Inspector' }),
    Readiness: () => screen.queryByText(/Nothing to mend|to mend|Ready/i),
  };
  const open = () => {
    answers.by = { '/api/lessons/l': lesson({ steps: [step('one')], boards: [] }) };
    vi.stubGlobal('WebSocket', FakeSocket);
    return shown(<Lesson />, '/lessons/:id', '/lessons/l');
  };

  it.each(Object.keys(regions))('is only %s', (name) => expectOnly(name, regions, open));
});

describe('a part of a class that goes wrong', () => {
  const regions = {
    ClassRibbon: () => screen.queryByRole('button', { name: /End class/ }),
    Bench: () => screen.queryByTestId('seat-farah'),
    Exchange: () => screen.queryByLabelText(/^Write to/),
  };
  const open = () => {
    const streams = {
      [SITTING]: sitting(),
      [PLACE]: place(),
      [EXCHANGE]: { posts: [], pinned: [] },
      'own/s.odalys': own(),
    };
    const { client, wrapper: Around } = connection({ you: ODALYS, streams });
    expect(client.connection.status).toBe('open');
    return shown(
      <Around>
        <Teaching sitting={client.view(SITTING)!} you={ODALYS} facts={classFacts()} />
      </Around>,
      '/',
      '/',
    );
  };

  it.each(Object.keys(regions))('is only %s', (name) => expectOnly(name, regions, open));
});
