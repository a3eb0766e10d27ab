import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { DeskFacts, DeskLesson } from '../../api/shapes';
import Desk from '../Desk';

const NOW = new Date(2026, 10, 25, 17, 11).getTime();
const at = (hours: number, minutes = 0) => new Date(2026, 10, 25, hours, minutes).getTime();
const lesson = (id: string, starts_at: number, more: Partial<DeskLesson> = {}): DeskLesson => ({
  id,
  title: `Lesson ${id}`,
  number: 2,
  minutes: 60,
  role: 'instructor',
  cancelled: false,
  starts_at,
  course: 'Coastal Navigation',
  course_id: 'navigation',
  host: 'Odalys Brandt',
  class: null,
  steps: [{ title: 'One', minutes: 60 }],
  boards: 1,
  record_from: 'One',
  to_mend: [],
  ...more,
});
const attended = { role: 'student', steps: undefined, boards: undefined, record_from: undefined, to_mend: undefined };
const held = (status: 'open' | 'ended', recorded: number | null = null) => ({
  id: 'c',
  status,
  here: 1,
  shared: false,
  recorded,
});

let facts: DeskFacts;
vi.mock('../../api/http', async (original) => ({
  ...(await original<object>()),
  get: (path: string) =>
    Promise.resolve(
      path === '/api/desk'
        ? facts
        : path === '/api/courses'
          ? []
          : { csrf: 't', person: { id: 'o', name: 'Odalys Brandt', teaches: true } },
    ),
}));
beforeEach(() => vi.useFakeTimers({ now: NOW, toFake: ['Date'] }));
afterEach(() => vi.useRealTimers());

async function desk(...lessons: DeskLesson[]) {
  facts = { now: NOW, lessons, waiting: { recordings: [], lessons: [], questions: [] } };
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <Desk />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  await screen.findByRole('heading', { level: 1 });
}
const button = (name: string) => screen.queryByRole('link', { name });

describe('the desk', () => {
  it('says when the next class begins, with now above it', async () => {
    await desk(lesson('a', at(17, 20)), lesson('b', at(19)));
    expect(screen.getByText('2 classes today. The next begins in 9 minutes.')).toBeTruthy();
    const times = screen.getByText('17:20').textContent!;
    expect(times.indexOf('17:11')).toBeLessThan(times.indexOf('17:20'));
    expect(times.indexOf('17:11')).toBeGreaterThan(-1);
  });

  it('keeps a class in sight that goes on over midnight, or begins right after it', async () => {
    await desk(
      lesson('a', at(0) - 30 * 60_000, { class: held('open') }),
      lesson('b', at(-1), { class: held('ended') }),
      lesson('c', at(24, 10)),
    );
    expect(screen.getByText('Lesson a')).toBeTruthy();
    expect(button('Back to the class')).toBeTruthy();
    expect(screen.queryByText('Lesson b')).toBeNull();
    vi.setSystemTime(at(23, 50));
    await desk(lesson('d', at(24, 10)), lesson('e', at(27)));
    expect(await screen.findByText('1 class today. The next begins in 20 minutes.')).toBeTruthy();
  });

  it('counts no class that was called off, and says of it that it was', async () => {
    await desk(lesson('a', at(18), { cancelled: true }), lesson('b', at(19)));
    expect(screen.getByText('1 class today. The next begins in 2 hours.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Called off' })).toBeTruthy();
    expect(screen.getAllByRole('link', { name: 'Go to the doors' }).length).toBe(1);
  });

  it('has now below a class that has begun, and knows one that runs over', async () => {
    await desk(lesson('a', at(15), { class: held('open') }));
    expect(screen.getByText('1 class today. One is under way.')).toBeTruthy();
    const times = screen.getByText('15:00').textContent!;
    expect(times.indexOf('17:11')).toBeGreaterThan(times.indexOf('15:00'));
    expect(button('Back to the class')).toBeTruthy();
  });

  it('says that all are held once they are', async () => {
    await desk(lesson('a', at(15), { class: held('ended', 60_000) }));
    expect(screen.getByText('1 class today, all held.')).toBeTruthy();
    expect(button('Watch the recording')).toBeTruthy();
  });

  it('tells what is to mend first, or from where it is recorded, or that it is not', async () => {
    const finding = {
      code: 'no_board',
      says: '“Two” shows no board.',
      step: 'two',
      board: null,
      page: null,
      mark: null,
      material: null,
    };
    await desk(
      lesson('a', at(18), { to_mend: [finding] }),
      lesson('b', at(19)),
      lesson('c', at(20), { record_from: null }),
    );
    expect(screen.getByText('1 thing to mend.').parentElement!.textContent).toContain('“Two” shows no board.');
    expect(screen.getByText(/Recording starts with One\./)).toBeTruthy();
    expect(screen.getByText(/Recording is started by hand\./)).toBeTruthy();
    expect(screen.queryByText(/null/)).toBeNull();
  });

  it('offers students what is theirs, and nothing to prepare', async () => {
    await desk(lesson('a', at(18), attended), lesson('b', at(18) + 2 * 86_400_000, attended));
    expect(button('Wait at the doors')).toBeTruthy();
    expect(button('Look at the boards')).toBeTruthy();
    expect(screen.queryByText('Next to prepare')).toBeNull();
    expect(screen.getByRole('heading', { name: 'Coming' })).toBeTruthy();
    expect(screen.getByText('taught by Odalys Brandt')).toBeTruthy();
  });

  it('is quiet on a free day', async () => {
    await desk();
    expect(screen.getByText('No class today.')).toBeTruthy();
    expect(screen.getByText('A free day.')).toBeTruthy();
  });
});
