import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { ReactElement } from 'react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { RULES } from '../api/contracts';
import type { LessonFacts, Step, RecordingFacts } from '../api/shapes';
import { TheRest } from '../parts/words/TheRest';
import { Notices } from '../parts/frame/Notices';
import { useShortcuts } from '../parts/hooks/useShortcuts';
import { classFacts, SITTING, sitting } from '../testing/classes';
import { connection, ODALYS } from '../testing/live';
import { lesson, step } from '../testing/lessons';
import { ClassEnded } from './class/ClassEnded';
import { Conflicts } from './lesson/Conflicts';
import { Readiness } from './lesson/Readiness';
import { RunSheet } from './lesson/RunSheet';
import { StepInspector } from './lesson/StepInspector';
import { edits, type Edit } from './lesson/planEdits';
import Player from './Player';
import { Scrubber } from './player/Scrubber';

const answers = vi.hoisted(() => ({ by: {} as Record<string, unknown> }));
vi.mock('../api/http', async (original) => ({
  ...(await original<object>()),
  get: (path: string) => {
    const found = Object.entries(answers.by).find(([begins]) => path.startsWith(begins))?.[1];
    if (found instanceof Error) return Promise.reject(found);
    return found === undefined ? new Promise(() => {}) : Promise.resolve(found);
  },
}));
beforeEach(() => {
  answers.by = {};
  vi.stubGlobal('matchMedia', () => ({ matches: true, addEventListener: () => {}, removeEventListener: () => {} }));
});

const page = (element: ReactElement, path = '/', at = '/') => (
  <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
    <MemoryRouter initialEntries={[at]}>
      <Routes>
        <Route path={path} element={element} />
      </Routes>
    </MemoryRouter>
  </QueryClientProvider>
);
const rowsOf = (steps: Step[]) => steps.map((one) => ({ ...one, starts_at: 0 }));
const button = (name: string | RegExp) => screen.getByRole('button', { name });

describe('the run sheet', () => {
  const onEdit = vi.fn<(edits: Edit | Edit[]) => void>();
  const shown = (facts: LessonFacts) =>
    render(<RunSheet lesson={facts} selected="one" onSelect={vi.fn()} onEdit={onEdit} onUndo={null} onRedo={null} />);
  beforeEach(() => onEdit.mockClear());

  it('adds a step after the others', () => {
    shown(lesson());
    fireEvent.click(button('Add a step'));
    expect(onEdit.mock.calls[0]![0]).toMatchObject({
      name: 'plan.add_step',
      input: { after: 'two', set: { title: 'Step 3', minutes: 10 } },
    });
  });

  it('tells minutes against the class, and fits them as the core has worked out', () => {
    const steps = [step('one', { minutes: 30 }), step('two', { minutes: 40 })];
    const sheet = {
      total: 70,
      minutes: 60,
      over: 10,
      rows: rowsOf(steps),
      slack: 30,
      squeeze: [{ step: 'two', less: 10 }],
    };
    const facts = lesson({ minutes: 60, steps, sheet });
    shown(facts);
    expect(screen.getByTestId('total').textContent).toBe('70 of 60 min');
    fireEvent.click(button(/Fit to 60 min/));
    expect(onEdit.mock.calls[0]![0]).toEqual([edits.step('two', { minutes: 30 })]);
  });

  it('fits nothing before the core has seen what was changed', () => {
    const before = [step('one', { minutes: 30 }), step('two', { minutes: 30 })];
    const sheet = { total: 60, minutes: 60, over: 0, rows: rowsOf(before), slack: 30, squeeze: [] };
    shown(lesson({ minutes: 60, steps: [before[0]!, step('two', { minutes: 40 })], sheet }));
    expect(button(/Fit to 60 min/)).toHaveProperty('disabled', true);
  });

  it('says when the steps cannot spare enough', () => {
    const steps = [step('one', { minutes: 70 })];
    const sheet = { total: 70, minutes: 60, over: 10, rows: rowsOf(steps), slack: 4, squeeze: null };
    shown(lesson({ minutes: 60, steps, sheet }));
    expect(screen.getByText('10 min too many; the steps can spare 4.')).toBeTruthy();
  });
});

describe('a step', () => {
  const acts = { onChange: vi.fn(), onRemove: vi.fn(), onRecordFrom: vi.fn(), onNewBoard: vi.fn() };
  beforeEach(() => Object.values(acts).forEach((one) => one.mockClear()));
  const shown = (more = {}) => {
    answers.by = { '/api/courses': [] };
    render(page(<StepInspector lesson={lesson()} step={step('one', more)} {...acts} />));
  };
  const write = (label: string, value: string) => {
    fireEvent.change(screen.getByLabelText(label), { target: { value } });
    fireEvent.blur(screen.getByLabelText(label));
  };

  it('keeps its shortest within its minutes', () => {
    shown({ minutes: 10, shortest: 8 });
    write('Minutes', '5');
    expect(acts.onChange).toHaveBeenLastCalledWith({ minutes: 5, shortest: 5 }, undefined);
    write('Shortest', '99');
    expect(acts.onChange).toHaveBeenLastCalledWith({ shortest: 10 }, undefined);
  });

  it('has no empty title', () => {
    shown();
    write('Title', '   ');
    expect(acts.onChange).not.toHaveBeenCalled();
    write('Title', ' Fog ');
    expect(acts.onChange).toHaveBeenCalledWith({ title: 'Fog' }, undefined);
  });

  it('takes its cues in minutes as people write them', () => {
    shown({ cues: [{ id: 'c', kind: 'timer', seconds: 300 }] });
    for (const [text, seconds] of [
      ['1:30', 90],
      ['1,5', 90],
      ['0.01', 5],
      ['9999', 36_000],
    ] as const) {
      write('Timer 1, minutes', text);
      expect(acts.onChange).toHaveBeenLastCalledWith({ cues: [{ id: 'c', kind: 'timer', seconds }] });
    }
    fireEvent.click(screen.getByLabelText('Ends when all are done'));
    expect(acts.onChange).toHaveBeenLastCalledWith({
      cues: [{ id: 'c', kind: 'timer', seconds: 300, until_done: true }],
    });
    fireEvent.click(button('Take out cue 1'));
    expect(acts.onChange).toHaveBeenLastCalledWith({ cues: [] });
  });

  it('brings house rules of its own, or leaves those before it', () => {
    shown();
    fireEvent.click(screen.getByLabelText('Own house rules'));
    expect(acts.onChange).toHaveBeenCalledWith({ rules: RULES });
  });
});

describe('preparing', () => {
  it('tells what two people changed at once, with one’s own words to copy', () => {
    const conflicts = [
      { step: 'one', field: 'notes', title: 'Fog', mine: 'Ask first', theirs: 'Draw first' },
      { step: null, field: 'starts_at', title: '', mine: 5, theirs: 6 },
    ];
    render(<Conflicts conflicts={conflicts} onClose={vi.fn()} />);
    const items = screen.getAllByRole('listitem').map(({ textContent }) => textContent);
    expect(items).toEqual(['In “Fog”, the notes; you had: Ask first', 'the time; you had: 5']);
  });

  it('leads to what is to mend', () => {
    const onGo = vi.fn();
    const finding = {
      code: 'small_text',
      says: '“Pell” is 12 px.',
      step: null,
      board: 'b',
      page: 'p',
      mark: 'm',
      material: null,
    };
    const { rerender } = render(<Readiness findings={[finding]} onGo={onGo} />);
    fireEvent.click(button('“Pell” is 12 px.'));
    expect(onGo).toHaveBeenCalledWith(finding);
    rerender(<Readiness findings={[]} onGo={onGo} />);
    expect(screen.getByText('Ready for class')).toBeTruthy();
  });
});

describe('the scrubber', () => {
  const chapters = [
    { title: 'Names', from: 0, to: 60_000, at: 0 },
    { title: 'Crossing', from: 60_000, to: 200_000, at: 60_000 },
  ];
  it('goes by keys within the recording, and says where it is', () => {
    const onSeek = vi.fn();
    render(<Scrubber marked={[]} length={200_000} chapters={chapters} time={61_000} onSeek={onSeek} />);
    const slider = screen.getByRole('slider');
    expect(slider.getAttribute('aria-valuetext')).toBe('1:01, Crossing');
    for (const key of ['ArrowLeft', 'PageUp', 'PageDown', 'Home', 'End']) fireEvent.keyDown(slider, { key });
    expect(onSeek.mock.calls.flat()).toEqual([56_000, 121_000, 1_000, 0, 200_000]);
  });
});

describe('the player', () => {
  const facts: RecordingFacts = {
    id: 's',
    title: 'Tide windows',
    course: 'Navigation',
    staff: false,
    shared: true,
    at: 1_000,
    length: 60_000,
    chapters: [],
    stretches: [[1_000, 61_000]],
    cuts: 0,
    boards: [],
    rooms: [],
    people: [],
    tracks: [],
    sound: null,
    you: null,
    opened: 1_000,
    stopped: null,
  };
  const posts = Array.from({ length: 60 }, (_, i) => ({
    id: `p${i}`,
    by: 'farah',
    name: 'Farah Lindqvist',
    to: 'everyone',
    at: 1_000,
    text: `Post ${i}`,
  }));
  const place = {
    shown: { board: 'staff-only', page: 'p1' },
    timer: null,
    hands: [],
    rules: { for_all: {}, exceptions: [] },
    welcome: null,
    hosts: [],
  };

  it('shows every post, newest below, and says of a board for staff what it is', async () => {
    answers.by = {
      '/api/recordings/s/at': { t: 0, wall: 1_000, streams: { 'place/s.main': place, 'exchange/s.main': { posts } } },
      '/api/recordings/s/entries': { from: 0, to: 60_000, entries: [] },
      '/api/recordings/s/happened': { every: 5_000, parts: [], quiet: [], own: [] },
      '/api/recordings/s/notes': { notes: [] },
      '/api/recordings/s': facts,
    };
    render(page(<Player />, '/recordings/:id', '/recordings/s'));
    await screen.findByText('Post 59');
    const log = screen.getByRole('log');
    expect(
      within(log)
        .getAllByTestId('post')
        .map((one) => one.textContent!.slice(-7).trim())
        .at(-1),
    ).toBe('Post 59');
    expect(getComputedStyle(log).flexDirection).not.toBe('column-reverse');
    expect(screen.getByText('A board was on show that only staff see.')).toBeTruthy();
  });

  it('says why there is nothing to watch', async () => {
    answers.by = { '/api/recordings/s': new Error('There is no such recording.') };
    render(page(<Player />, '/recordings/:id', '/recordings/s'));
    expect((await screen.findByRole('alert')).textContent).toContain('There is no such recording.');
  });
});

describe('after the class', () => {
  it.each([
    ['none', 'Nothing was recorded.', false],
    ['ready', 'ready to watch.', true],
    ['waiting', 'as soon as your instructor shares it', false],
  ] as const)('tells what becomes of the recording: %s', async (recording, says, watch) => {
    answers.by = { '/api/classes/s': classFacts({ recording }) };
    const ended = sitting({ status: 'ended', ended_at: 3_600_000 });
    render(page(<ClassEnded sitting={ended} you={{ ...ODALYS, staff: false }} facts={classFacts()} />));
    expect(await screen.findByText(new RegExp(says))).toBeTruthy();
    expect(screen.queryByRole('link', { name: 'Watch the recording' }) !== null).toBe(watch);
    expect(screen.getByText(/2 students/)).toBeTruthy();
  });
});

describe('after the class, for staff', () => {
  it.each([
    [false, 'Students see the recording once you share it.'],
    [true, 'Students see the recording too.'],
  ])('tells whether students see it: %s', async (shared, says) => {
    answers.by = { '/api/classes/s': classFacts({ recording: 'ready', shared }) };
    render(page(<ClassEnded sitting={sitting({ status: 'ended', ended_at: 9 })} you={ODALYS} facts={classFacts()} />));
    expect(await screen.findByText(new RegExp(says))).toBeTruthy();
  });
});

describe('long lists', () => {
  it('say that there may be more', () => {
    const { rerender, container } = render(<TheRest count={99} most={100} what="boards" />);
    expect(container.textContent).toBe('');
    rerender(<TheRest count={100} most={100} what="boards" />);
    expect(container.textContent).toBe('The first 100 boards are shown here. Search for the others.');
  });
});

describe('notices', () => {
  function Keyed() {
    useShortcuts({});
    return <p>the page</p>;
  }
  it('stay when one clicks elsewhere, and go when one has read them', async () => {
    const { tell, wrapper } = connection({ streams: { [SITTING]: sitting() } });
    render(
      <>
        <Keyed />
        <Notices />
      </>,
      { wrapper },
    );
    tell({ t: 'lost', stream: SITTING, says: 'That board is no longer open to you.' });
    const told = () => screen.queryByText('That board is no longer open to you.');
    // A click elsewhere counts only a moment after something has opened, and what goes takes a moment to go.
    const moment = () => act(() => new Promise((done) => setTimeout(done, 400)));
    await moment();
    fireEvent.click(screen.getByText('the page'));
    await moment();
    expect(told()).not.toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /close/i }));
    await waitFor(() => expect(told()).toBeNull());
  });

  it('tell that the connection is away', () => {
    const { socket, wrapper } = connection();
    render(<Notices />, { wrapper });
    act(() => socket.onclose());
    expect(screen.getByText(/The connection is away/)).toBeTruthy();
  });
});
