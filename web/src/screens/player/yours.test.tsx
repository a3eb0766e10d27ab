import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { ExchangeThen } from './ExchangeThen';
import { Pages } from './Pages';
import { Recorder } from './Recorder';
import { afterQuiet } from './useHappened';
import { YoursThen } from './YoursThen';

describe('what is quiet', () => {
  const quiet: [number, number][] = [
    [10_000, 40_000],
    [60_000, 90_000],
  ];
  it('is left shortly after it begins, to shortly before it ends, and never where something happens', () => {
    expect([0, 10_500, 12_000, 38_999, 39_000, 50_000, 75_000].map((time) => afterQuiet(quiet, time))).toEqual([
      null,
      null,
      39_000,
      39_000,
      null,
      null,
      89_000,
    ]);
  });
});

describe('yours', () => {
  it('stands in order of time, goes to its moment, and is kept at the one on show', () => {
    const recorder = new Recorder('s', 60_000, [[1_000, 61_000]]);
    const seek = vi.spyOn(recorder, 'seek').mockImplementation(() => undefined);
    recorder.time = 5_000;
    const notes = {
      notes: [{ id: 'n', at: 3_000, words: 'Ask about this' }],
      error: undefined,
      add: vi.fn(),
      drop: vi.fn(),
    };
    render(
      <QueryClientProvider client={new QueryClient()}>
        <YoursThen recorder={recorder} own={[{ t: 30_000, kind: 'question', words: 'Why twelfths?' }]} notes={notes} />
      </QueryClientProvider>,
    );
    const rows = screen.getAllByRole('listitem').map((row) => row.textContent);
    expect(rows[0]).toContain('Ask about this');
    expect(rows[1]).toContain('You asked');
    fireEvent.click(screen.getByText('Why twelfths?'));
    expect(seek).toHaveBeenCalledWith(30_000);
    fireEvent.change(screen.getByLabelText('A note at this moment'), { target: { value: ' the curve ' } });
    fireEvent.click(screen.getByText('Keep'));
    expect(notes.add).toHaveBeenCalledWith(6_000, 'the curve');
    fireEvent.click(screen.getByText('Throw away'));
    expect(notes.drop).toHaveBeenCalledWith('n');
  });
});

describe('the exchange', () => {
  it('shows the newest of very many posts, and the others when one wishes', async () => {
    const posts = Array.from({ length: 430 }, (_, i) => ({
      id: `p${i}`,
      by: 'farah',
      name: 'Farah',
      text: `Post ${i}`,
      at: 1,
    }));
    const recorder = new Recorder('s', 60_000, [[1_000, 61_000]]);
    const exchange = { posts };
    vi.spyOn(recorder, 'view').mockImplementation(
      (stream) => (stream === 'exchange/s.main' ? exchange : undefined) as never,
    );
    render(<ExchangeThen recorder={recorder} stream="exchange/s.main" />);
    expect(screen.getAllByTestId('post')).toHaveLength(180);
    expect(screen.getByText('Post 429')).toBeTruthy();
    fireEvent.click(screen.getByText('250 earlier posts'));
    expect(screen.getAllByTestId('post')).toHaveLength(430);
  });
});

describe('looking elsewhere', () => {
  it('turns pages of the board one looks at, and comes back', () => {
    const onGo = vi.fn();
    const at = { board: 'b', page: 'p2' };
    render(<Pages {...{ at, pages: ['p1', 'p2', 'p3'], left: true, boards: [], onGo }} />);
    fireEvent.click(screen.getByLabelText('Page after'));
    fireEvent.click(screen.getByText('Back to what was on show'));
    expect(onGo.mock.calls.flat()).toEqual([{ board: 'b', page: 'p3' }, null]);
  });
});
