import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { MyAnswer, PollLive, PollView, Question, StagedPoll, Tally } from '../api/shapes';
import { connection, FARAH, ODALYS } from '../testing/live';
import { own, place, sitting, staff } from '../testing/classes';
import { Answering } from './answering/Answering';
import { PollsOfSheet } from './card/PollsOfSheet';
import { StudentPolls } from './card/StudentPolls';
import { ShownPoll } from './page/ShownPoll';
import { asMarks } from './page/asMarks';
import { QuestionFields } from './making/QuestionFields';
import { flowOf } from './results/flow';
import { Results } from './results/Results';
import { termsOf } from './words';

const server = vi.hoisted(() => ({
  mine: [] as MyAnswer[],
  live: null as PollLive | Promise<PollLive> | null,
  asked: [] as [string, unknown][],
}));
vi.mock('../api/http', () => ({
  get: async (path: string) => {
    if (path.endsWith('/polls/mine')) return { answers: server.mine };
    if (path.endsWith('/live') && server.live) return server.live;
    throw new Error(path);
  },
  post: async (path: string, body: unknown) => void server.asked.push([path, body]),
}));

const CROSSING: Question = {
  kind: 'one',
  text: 'Who gives way?',
  options: [
    { id: 'red', text: 'Red' },
    { id: 'green', text: 'Green' },
  ],
  right: { options: ['red'] },
};
const round = (number: number, more: Partial<PollView['rounds'][number]> = {}) => ({
  round: number,
  opened_at: Date.now() - 60_000,
  from: Date.now() - 60_000,
  ends_at: null,
  closed_at: null,
  cleared: false,
  talk: false,
  ...more,
});
const poll = (more: Partial<PollView> = {}): PollView => ({
  question: CROSSING,
  place: null,
  set: null,
  rounds: [round(1)],
  shown: null,
  ...more,
});
const staged = (id: string, more: Partial<StagedPoll> = {}): StagedPoll => ({
  id,
  question: CROSSING,
  place: null,
  set: null,
  step: null,
  begun: true,
  away: false,
  ...more,
});
const live = (answered: number, right: number | null, at = 1): PollLive => ({
  at,
  round: 1,
  answered,
  expected: 12,
  missing: [{ id: 'ines', name: 'Ines Cavallero' }],
  more: 0,
  results: { round: 1, tally: { count: answered, right, options: [] } },
});

function shown(children: ReactNode, given: Parameters<typeof connection>[0]) {
  const made = connection(given);
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  render(<QueryClientProvider client={client}>{children}</QueryClientProvider>, { wrapper: made.wrapper });
  return made;
}

/** Until whatever was to happen at once has happened. */
const pause = () => new Promise((later) => setTimeout(later, 20));

beforeEach(() => {
  server.mine = [];
  server.live = null;
  server.asked = [];
});
afterEach(cleanup);

describe('answering', () => {
  const give = vi.fn<(value: unknown) => Promise<string | null>>();
  const ask = (question: Question, mine?: unknown) =>
    render(<Answering name="s.p 1" question={question} mine={mine} onGive={give} />);
  beforeEach(() => void give.mockReset().mockResolvedValue(null));
  const send = async () => {
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Answer' })));
    return give.mock.calls.at(-1)?.[0];
  };

  it('takes one option by two taps, several up to as many as may be, and an order by the order of taps', async () => {
    ask(CROSSING);
    expect((screen.getByRole('button', { name: 'Answer' }) as HTMLButtonElement).disabled).toBe(true);
    fireEvent.click(screen.getByLabelText('Green'));
    expect(await send()).toBe('green');
    cleanup();
    ask({ ...CROSSING, kind: 'several', most: 1 });
    ['Red', 'Green'].forEach((name) => fireEvent.click(screen.getByLabelText(name)));
    expect(await send()).toEqual(['green']);
    cleanup();
    ask({ ...CROSSING, kind: 'order' });
    ['Green', 'Red'].forEach((name) => fireEvent.click(screen.getByRole('button', { name: new RegExp(name) })));
    expect(await send()).toEqual(['green', 'red']);
  });

  it('keeps what one has begun when its panel goes and comes back, until it is sent', async () => {
    const chosen = () => (screen.getByLabelText('Green') as HTMLInputElement).checked;
    ask(CROSSING);
    fireEvent.click(screen.getByLabelText('Green'));
    cleanup();
    ask(CROSSING);
    expect(chosen()).toBe(true);
    await send();
    cleanup();
    ask(CROSSING);
    expect(chosen()).toBe(false);
  });

  it('keeps what was refused, and says why', async () => {
    give.mockResolvedValue('That is no number. Write it in figures, like 2.7.');
    ask({ kind: 'number', text: 'How high?', unit: 'm' });
    fireEvent.change(screen.getByLabelText('How high?'), { target: { value: 'very' } });
    await send();
    expect(screen.getByRole('status').textContent).toContain('no number');
    expect((screen.getByLabelText('How high?') as HTMLInputElement).value).toBe('very');
  });

  it('shows what one has answered, and lets one change it only where one may', () => {
    ask(CROSSING, ['red']);
    expect((screen.getByLabelText('Red') as HTMLInputElement).checked).toBe(true);
    cleanup();
    ask({ ...CROSSING, change: false }, ['red']);
    expect(screen.getByText('You answered: Red. It stays.')).toBeTruthy();
  });

  it('moves a spot by arrow keys and sends words without empty ones', async () => {
    ask({ kind: 'spot', text: 'Where?' });
    const page = screen.getByRole('application');
    fireEvent.keyDown(page, { key: 'ArrowLeft' });
    fireEvent.keyDown(page, { key: 'ArrowUp', shiftKey: true });
    expect(await send()).toEqual([780, 400]);
    cleanup();
    ask({ kind: 'cloud', text: 'Fog?' });
    fireEvent.click(screen.getByRole('button', { name: 'One more word' }));
    fireEvent.change(screen.getByLabelText('Fog? Word 2'), { target: { value: ' horn ' } });
    expect(await send()).toEqual(['horn']);
  });

  it('is told beforehand whether names are, and what becomes of results', () => {
    expect(termsOf({ ...CROSSING, names: false, results: 'never' })).toEqual([
      'no names: nobody learns who answered what',
      'results stay with staff',
    ]);
    expect(termsOf(CROSSING)).toEqual(['staff see your name with your answer']);
  });
});

describe('a student', () => {
  const streams = { 'sitting/s': sitting(), 'place/s.main': place(), 'own/s.farah': own(), 'poll/s.p': poll() };

  it('answers what is open, and sees what is closed as a line with the own answer', async () => {
    const { asked, tell } = shown(<StudentPolls sitting="s" />, { you: FARAH, streams });
    fireEvent.click(await screen.findByLabelText('Red'));
    fireEvent.click(screen.getByRole('button', { name: 'Answer' }));
    expect(asked()).toEqual([['poll.answer', { round: 1, value: 'red' }]]);
    server.mine = [{ poll: 'p', round: 1, value: ['red'] }];
    tell({ t: 'entry', stream: 'poll/s.p', seq: 1, at: 1, by: 'odalys', kind: 'round_closed', body: { round: 1 } });
    expect(screen.queryByRole('button', { name: 'Answer' })).toBeNull();
  });

  it('is told to talk first, and takes a form one poll after the other', () => {
    const set = { id: 'check', title: 'Before we part' };
    const talking = poll({ rounds: [round(1, { from: Date.now() + 60_000, talk: true })] });
    shown(<StudentPolls sitting="s" />, { you: FARAH, streams: { ...streams, 'poll/s.p': talking } });
    expect(screen.getByText(/Talk it over first/)).toBeTruthy();
    cleanup();
    const second = poll({
      set,
      question: { kind: 'yes_no', text: 'Is it clear?' },
      rounds: [round(1, { opened_at: Date.now() })],
    });
    shown(<StudentPolls sitting="s" />, {
      you: FARAH,
      streams: { ...streams, 'poll/s.p': poll({ set }), 'poll/s.q': second },
    });
    expect(screen.getByText('1 of 2 · 0 answered')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Next' }));
    expect(screen.getByText('Is it clear?')).toBeTruthy();
    expect(screen.queryByText('Who gives way?')).toBeNull();
  });
});

describe('staff', () => {
  const given = (state: PollView, more: Partial<StagedPoll> = {}) => ({
    you: ODALYS,
    streams: {
      'sitting/s': sitting(),
      'place/s.main': place(),
      'staff/s': staff({ polls: [staged('p', more)] }),
      'poll/s.p': state,
    },
  });
  const sheet = (state: PollView, more: Partial<StagedPoll> = {}) => {
    const looked = vi.fn();
    const rows = staff({ polls: [staged('p', more)] });
    const made = shown(
      <PollsOfSheet sitting={sitting()} staff={rows} at="main" course="navigation" onLook={looked} />,
      given(state, more),
    );
    return { ...made, looked };
  };

  it('see how many have answered and who has not; without names only how many', async () => {
    server.live = live(11, null);
    sheet(poll());
    await waitFor(() => expect(screen.getByText(/of 12 answered/)).toBeTruthy());
    expect(screen.getByText('not yet: Ines')).toBeTruthy();
    cleanup();
    sheet(poll(), { question: { ...CROSSING, names: false } });
    await waitFor(() => expect(screen.getByText('not yet: 1')).toBeTruthy());
  });

  it('press what does not move when the last answer comes: who is missing stands below it', async () => {
    server.live = live(11, null);
    sheet(poll());
    const missing = await screen.findByText('not yet: Ines');
    const after = screen.getByRole('button', { name: 'Results' }).compareDocumentPosition(missing);
    expect(after & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
    cleanup();
    server.live = live(12, null);
    sheet(poll());
    await waitFor(() => expect(screen.getByText('all have answered')).toBeTruthy());
  });

  it('see what was counted last, however late an older count arrives', async () => {
    let arrive: (older: PollLive) => void = () => {};
    server.live = new Promise<PollLive>((settle) => (arrive = settle));
    const { tell } = sheet(poll());
    tell({ t: 'results', stream: 'poll/s.p', live: live(2, null, 20) });
    expect(screen.getByRole('region', { name: /Poll:/ }).textContent).toContain('2 of 12 answered');
    await act(async () => {
      await pause();
      arrive(live(1, null, 10));
      await pause();
    });
    expect(screen.getByRole('region', { name: /Poll:/ }).textContent).toContain('2 of 12 answered');
    tell({ t: 'results', stream: 'poll/s.p', live: live(3, null, 30) });
    expect(screen.getByRole('region', { name: /Poll:/ }).textContent).toContain('3 of 12 answered');
  });

  it('are told when it is worth that pairs talk, and have it done by one key', async () => {
    server.live = live(11, 0.45);
    const { asked } = sheet(poll({ rounds: [round(1, { closed_at: 5 })] }));
    await waitFor(() => expect(screen.getByText(/45 % are right/)).toBeTruthy());
    await act(async () => fireEvent.keyDown(document.body, { key: 'l' }));
    expect(server.asked).toEqual([['/api/classes/s/places/main/pairs', { size: 2 }]]);
    expect(asked()).toEqual([['poll.open', { poll: 'p', round: 2, talk: 120 }]]);
  });

  it('close what is open, open another round, show it with what is right, and look at it', async () => {
    const { asked } = sheet(poll());
    // Nobody has answered, so that there is nothing to show.
    expect((screen.getByRole('button', { name: 'Show it' }) as HTMLButtonElement).disabled).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(asked()).toEqual([['poll.close', { poll: 'p', round: 1 }]]);
    cleanup();
    server.live = live(11, 0.45);
    const over = sheet(poll({ rounds: [round(1, { closed_at: 5 })] }));
    await screen.findByText(/of 12 answered/);
    fireEvent.click(screen.getByRole('button', { name: 'Round 2' }));
    expect(over.asked()).toEqual([['poll.open', { poll: 'p', round: 2 }]]);
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Show it' })));
    expect(server.asked).toEqual([['/api/classes/s/polls/p/show', { round: 1, tell: true }]]);
    fireEvent.click(screen.getByRole('button', { name: 'Results' }));
    expect(over.looked).toHaveBeenCalledWith('p');
  });
});

describe('results', () => {
  const tally: Tally = {
    count: 4,
    right: 0.75,
    options: [
      { id: 'red', count: 3 },
      { id: 'green', count: 1 },
    ],
  };

  it('mark what is right only where it is told, and are a table as well', () => {
    render(<Results question={CROSSING} tally={tally} tell asTable={false} />);
    expect(screen.getByText('· right')).toBeTruthy();
    cleanup();
    render(<Results question={CROSSING} tally={{ ...tally, right: null }} tell={false} asTable />);
    expect(screen.queryByText(/right/)).toBeNull();
    expect(screen.getAllByRole('row').map((row) => row.textContent)).toEqual([
      'answerpeopleshare',
      'Red375 %',
      'Green125 %',
    ]);
  });

  it('do not break down a few', () => {
    render(<Results question={CROSSING} tally={{ count: 2, right: null }} tell asTable={false} />);
    expect(screen.getByText(/So few answers/)).toBeTruthy();
  });

  it('show two rounds as bands that keep everybody, and say who went where', () => {
    const ways = [
      { from: ['green'], to: ['red'], count: 4 },
      { from: ['red'], to: ['red'], count: 5 },
      { from: ['green'], to: ['green'], count: 2 },
    ];
    const { left, ends, bands } = flowOf(ways, 300);
    expect([left, ends].map((side) => side.map(({ count }) => count))).toEqual([[6, 5], [2, 9].sort((a, b) => a - b)]);
    expect(bands.reduce((sum, { height }) => sum + height, 0)).toBeCloseTo(
      left.reduce((sum, { height }) => sum + height, 0),
    );
    // Bands that leave one post do not lie over one another.
    for (const end of left) {
      const own = bands.filter(({ from }) => from === end.key).sort((one, other) => one.y0 - other.y0);
      own.slice(1).forEach((band, i) => expect(band.y0).toBeCloseTo(own[i]!.y0 + own[i]!.height));
    }
    const moves = { count: 11, ways, right: { before: 5 / 11, after: 9 / 11, gain: 2 / 3 } };
    const told = {
      round: 2,
      since: 1,
      tally,
      before: tally,
      moves,
      right: { options: ['red'] },
      explanation: 'Rule 15.',
    };
    render(<ShownPoll question={CROSSING} shown={told} />);
    fireEvent.click(screen.getByRole('button', { name: /As a (table|picture)/ }));
    expect(screen.getByText('0.67')).toBeTruthy();
    expect(screen.getByText('Rule 15.')).toBeTruthy();
  });

  it('go onto a board as words and bars, or as the picture of two rounds, each within the page', async () => {
    const marks = await asMarks(CROSSING, { round: 1, tally }, 'p2');
    expect(marks.filter(({ kind }) => kind === 'text').map(({ text }) => text)).toEqual(
      expect.arrayContaining(['Who gives way?', '4 people answered, 75 % right', 'Red', '3', 'Green', '1']),
    );
    const bars = marks.filter(({ kind }) => kind === 'rectangle').map(({ w }) => w!);
    expect(bars[0]! / bars[1]!).toBeCloseTo(3);
    const moves = {
      count: 5,
      ways: [
        { from: ['green'], to: ['red'], count: 3 },
        { from: ['red'], to: ['red'], count: 2 },
      ],
      right: null,
    };
    const flow = await asMarks(CROSSING, { round: 2, since: 1, tally, before: tally, moves }, 'p3');
    expect(flow.filter(({ kind }) => kind === 'polygon')).toHaveLength(2);
    expect(flow.map(({ text }) => text)).toEqual(expect.arrayContaining(['round 1', 'round 2', 'Green: 3', 'Red: 5']));
    [...marks, ...flow].forEach(({ x, y, page }) =>
      expect(x < 1_600 && y < 1_000 && ['p2', 'p3'].includes(page)).toBe(true),
    );
    const spots = await asMarks(
      { kind: 'spot', text: 'Where?' },
      { round: 1, tally: { count: 1, right: null, spots: [{ x: 800, y: 400, count: 1 }] } },
      'p1',
    );
    expect(spots.map(({ kind, x, w }) => [kind, x + w! / 2])).toEqual([['ellipse', 820]]);
  });
});

describe('making a poll', () => {
  it('keeps of a question what another kind has too', () => {
    const changed = vi.fn<(question: Question) => void>();
    connection({ you: ODALYS });
    const { rerender } = render(<QuestionFields question={CROSSING} onChange={changed} />);
    fireEvent.click(screen.getByRole('button', { name: 'Right: option 2' }));
    expect(changed.mock.calls.at(-1)![0].right).toEqual({ options: ['green'] });
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'People' }));
    fireEvent.click(screen.getByRole('option', { name: 'put in order' }));
    const ordered = changed.mock.calls.at(-1)![0];
    expect(ordered).toEqual({ kind: 'order', text: CROSSING.text, options: CROSSING.options });
    rerender(<QuestionFields question={ordered} onChange={changed} />);
    fireEvent.click(screen.getByRole('button', { name: 'This order is right' }));
    expect(changed.mock.calls.at(-1)![0].right).toEqual({ options: ['red', 'green'] });
    fireEvent.click(screen.getByRole('button', { name: 'Up: option 2' }));
    expect(changed.mock.calls.at(-1)![0].options!.map(({ id }) => id)).toEqual(['green', 'red']);
  });
});
