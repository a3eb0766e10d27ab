import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { HeardRow, Incoming, Seat } from '../../api/shapes';
import { useSitting, usePlace, useStaff } from '../../live/hooks';
import {
  classFacts,
  EXCHANGE,
  PLACE,
  place,
  seat,
  SEATS,
  SITTING,
  sitting,
  STAFF,
  staff,
  timing,
  own,
} from '../../testing/classes';
import { ALL_RIGHTS, connection, FARAH, ODALYS } from '../../testing/live';
import { Bench } from './Bench';
import { ClassRibbon } from './ClassRibbon';
import { present } from '../../live/sitting';
import { arranged, USUAL, type Order, type Show } from './arranging';
import { passages, passageWords } from './useComingAndGoing';
import { TimerLine } from './TimerLine';
import { missingWords } from './Checklist';
import { connectionWords } from './Connection';
import { Doors } from './Doors';
import { Sheet } from './Sheet';
import { Teaching } from './Teaching';
import { WaitingRoom } from './WaitingRoom';

const turns = new Set<() => void>();
let isWide = true;
const wide = (is: boolean) => {
  isWide = is;
  turns.forEach((turned) => turned());
};
vi.stubGlobal('matchMedia', (query: string) => ({
  get matches() {
    return isWide && query.includes('min-width');
  },
  media: query,
  addEventListener: (_: string, turned: () => void) => turns.add(turned),
  removeEventListener: (_: string, turned: () => void) => turns.delete(turned),
}));
beforeEach(() => wide(true));
afterEach(() => vi.useRealTimers());

const views = {
  [SITTING]: sitting(),
  [PLACE]: place(),
  [STAFF]: staff(),
  [EXCHANGE]: { posts: [], pinned: [] },
  'own/s.odalys': own(),
  'own/s.farah': own(),
};
const joined = (who = ODALYS, streams: Record<string, unknown> = {}) => {
  // Nobody but staff is told what is staff's.
  const told = Object.entries({ ...views, ...streams }).filter(([name]) => who.staff || !name.startsWith('staff/'));
  const live = connection({ you: who, streams: Object.fromEntries(told) });
  const client = new QueryClient();
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>
      <MemoryRouter>{live.wrapper({ children })}</MemoryRouter>
    </QueryClientProvider>
  );
  return { ...live, wrapper };
};
let seq = 0;
const entry = (stream: string, kind: string, body: object, by = 'odalys') =>
  ({ t: 'entry', stream, seq: ++seq, at: Date.now(), by, kind, body }) as unknown as Incoming;
beforeEach(() => (seq = 0));

const Room = ({ you = ODALYS }: { you?: typeof ODALYS }) => {
  const now = useSitting('s')!;
  return <Teaching sitting={now} you={you} facts={classFacts()} />;
};

describe('a class under way', () => {
  it('goes from step to step by keys, and no further than there are steps', () => {
    const { wrapper, asked, tell } = joined();
    render(<Room />, { wrapper });
    fireEvent.keyDown(document.body, { key: ']' });
    fireEvent.keyDown(document.body, { key: '[' });
    expect(asked()).toEqual([
      ['class.move', { step: 'sum-up' }],
      ['class.move', { step: 'names' }],
    ]);
    tell(entry(SITTING, 'moved', { step: 'sum-up' }));
    fireEvent.keyDown(document.body, { key: ']' });
    expect(asked()).toHaveLength(2);
  });

  it('lets a student raise a hand and take it down, and do nothing that is for staff', () => {
    const { wrapper, asked, tell } = joined(FARAH);
    render(<Room you={FARAH} />, { wrapper });
    fireEvent.keyDown(document.body, { key: ']' });
    expect(asked()).toEqual([]);
    expect(screen.queryByLabelText('Sheet')).toBeNull();
    expect(screen.queryByText('End class')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Raise my hand' }));
    tell(entry(PLACE, 'hand_raised', {}, 'farah'));
    fireEvent.click(screen.getByRole('button', { name: 'Take it down' }));
    expect(asked().map(([name]) => name)).toEqual(['class.raise_hand', 'class.lower_hand']);
  });

  it('asks before it ends', () => {
    const { wrapper, asked } = joined();
    render(<Room />, { wrapper });
    fireEvent.click(screen.getByRole('button', { name: 'End class' }));
    expect(asked()).toEqual([]);
    fireEvent.click(screen.getByRole('button', { name: 'Go on teaching' }));
    fireEvent.click(screen.getByRole('button', { name: 'End class', hidden: true }));
    fireEvent.click(screen.getByRole('button', { name: 'End the class' }));
    expect(asked()).toEqual([['class.end', {}]]);
  });

  it('says who raised a hand and which step it is, once and for those who listen', () => {
    const { wrapper, tell, client } = joined();
    render(<Room />, { wrapper });
    const said = () => screen.getByTestId('announcer').textContent;
    tell(entry(PLACE, 'hand_raised', {}, 'farah'));
    expect(said()).toBe('Farah Lindqvist raised a hand');
    tell(entry(SITTING, 'moved', { step: 'sum-up' }));
    expect(said()).toBe('Now: Sum up');
    client.close();
  });

  it('brings plan and words from below where there is little room, and counts what is new', async () => {
    wide(false);
    const { wrapper, tell } = joined();
    render(<Room />, { wrapper });
    expect(screen.getByLabelText('Posts').checkVisibility()).toBe(false);
    tell(
      entry(
        EXCHANGE,
        'posted',
        { id: 'p1', to: 'everyone', name: 'Farah Lindqvist', text: 'Is that Pell Light?' },
        'farah',
      ),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Exchange, 1 new' }));
    expect(screen.getByText('Is that Pell Light?')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Put away' }));
    expect(screen.getByRole('button', { name: 'Exchange' })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Sheet' }));
    expect(await screen.findByRole('button', { name: 'Go on to Sum up' })).toBeTruthy();
    fireEvent.keyDown(screen.getByRole('button', { name: 'Go on to Sum up' }), { key: 'Escape' });
    expect(screen.getByLabelText('House rules').checkVisibility()).toBe(false);
  });

  it('keeps what one has begun when the device is turned, and when its panel is put away', async () => {
    const { wrapper } = joined();
    render(<Room />, { wrapper });
    const write = () => screen.getByPlaceholderText<HTMLTextAreaElement>(/^Write/);
    fireEvent.change(write(), { target: { value: 'Is that Pell' } });
    fireEvent.click(await screen.findByRole('button', { name: 'Ask something' }));
    fireEvent.change(await screen.findByLabelText('Question'), { target: { value: 'Who gives way?' } });
    act(() => wide(false));
    expect(screen.getByLabelText<HTMLTextAreaElement>('Question').value).toBe('Who gives way?');
    // Whole as soon as the last word is typed, with the hand still in its field.
    const open = screen.getByRole<HTMLButtonElement>('button', { name: 'Open it' });
    ['Red', 'Green'].forEach((value, i) => {
      expect(open.disabled).toBe(true);
      fireEvent.change(screen.getByLabelText(`Option ${i + 1}`), { target: { value } });
    });
    expect(open.disabled).toBe(false);
    fireEvent.click(screen.getByRole('button', { name: 'Leave it' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Exchange' }));
    expect(write().checkVisibility()).toBe(true);
    expect(write().value).toBe('Is that Pell');
    fireEvent.click(screen.getByRole('button', { name: 'Put away' }));
    // Keys of what is not shown do nothing.
    fireEvent.keyDown(document.body, { key: 'a' });
    expect(screen.queryByLabelText('Question')).toBeNull();
    act(() => wide(true));
    expect(write().value).toBe('Is that Pell');
    fireEvent.keyDown(document.body, { key: 'a' });
    expect(screen.getByLabelText('Question')).toBeTruthy();
  });
});

describe('what one writes in a place', () => {
  it('stays there until one comes back', () => {
    const { wrapper, tell } = joined(FARAH);
    render(<Room you={FARAH} />, { wrapper });
    const write = () => screen.getByPlaceholderText<HTMLTextAreaElement>(/^Write/);
    const go = (to: string) => tell(entry('own/s.farah', 'placed', { place: to }));
    fireEvent.change(write(), { target: { value: 'Is that Pell' } });
    go('r1');
    // Until one is told of the room one is where one was.
    expect(write().value).toBe('Is that Pell');
    tell({ t: 'gained', stream: 'place/s.r1', head: 0, view: place() } as Incoming);
    tell({ t: 'gained', stream: 'exchange/s.r1', head: 0, view: { posts: [], pinned: [] } } as Incoming);
    tell({ t: 'rights', rights: { 'place/s.r1': ALL_RIGHTS, 'place/s.main': ALL_RIGHTS } });
    expect(write().value).toBe('');
    go('main');
    expect(write().value).toBe('Is that Pell');
  });
});

describe('the sheet', () => {
  const looked = vi.fn();
  const hung = vi.fn();
  const Plan = () => {
    const [now, here, own] = [useSitting('s')!, usePlace('s')!, useStaff('s')!];
    return (
      <Sheet
        sitting={now}
        staff={own}
        place={here}
        room={PLACE}
        lesson="rules"
        onLook={looked}
        onWall={hung}
        at="main"
        onRooms={vi.fn()}
        course="navigation"
        onPoll={vi.fn()}
      />
    );
  };

  it('tells the step, what comes next, and how late it is', () => {
    const { wrapper, tell } = joined();
    render(<Plan />, { wrapper });
    tell({ t: 'timing', stream: SITTING, timing: timing({ squeeze: [{ step: 'sum-up', less: 4 }] }) });
    expect(screen.getByText(/2 of 30 min/)).toBeTruthy();
    expect(screen.getByLabelText('Running late').textContent).toContain('4 min off Sum up');
  });

  it('gives minutes, shows boards where they begin, and changes rules', () => {
    const { wrapper, asked } = joined();
    render(<Plan />, { wrapper });
    fireEvent.click(screen.getByRole('button', { name: '+5 min' }));
    fireEvent.click(screen.getByRole('button', { name: /^Names/ }));
    fireEvent.click(screen.getByRole('button', { name: /Answers/ }));
    fireEvent.click(screen.getByLabelText('All may draw'));
    // A board for staff is looked at, not shown.
    expect(looked).toHaveBeenCalledWith('b3', 'p4');
    expect(asked()).toEqual([
      ['class.extend', { minutes: 5 }],
      ['class.show', { board: 'b1', page: 'p1' }],
      ['class.rule', { right: 'draw', allow: false }],
    ]);
  });

  it('names the exceptions to a rule', () => {
    const exceptions = [{ right: 'draw', person: 'farah', allow: false }];
    const { wrapper } = joined(ODALYS, {
      [PLACE]: place({ rules: { for_all: { draw: true }, exceptions, by_step: [] } }),
    });
    render(<Plan />, { wrapper });
    expect(screen.getByLabelText('House rules').textContent).toContain('All may draw but Farah');
  });

  it('fires cues by click and by key, and tells which were fired', () => {
    const cues = [
      { id: 'c1', kind: 'timer' as const, seconds: 120, label: 'Think' },
      { id: 'c2', kind: 'record' as const },
    ];
    const steps = staff().steps.map((step) => (step.id === 'crossing' ? { ...step, cues } : step));
    const { wrapper, asked, tell } = joined(ODALYS, { [STAFF]: staff({ steps }) });
    render(<Plan />, { wrapper });
    fireEvent.click(screen.getByRole('button', { name: /Think: timer 2:00/ }));
    fireEvent.keyDown(document.body, { key: '2', altKey: true, code: 'Digit2' });
    expect(asked()).toEqual([
      ['class.cue', { cue: 'c1' }],
      ['class.cue', { cue: 'c2' }],
    ]);
    tell(entry(STAFF, 'cued', { cue: 'c1' }));
    expect(within(screen.getByLabelText('Cues')).getAllByText('done')).toHaveLength(1);
    tell(entry(PLACE, 'timer_set', { ends_at: Date.now() + 9_000, label: 'Think' }));
    expect(within(screen.getByLabelText('Cues')).getByText('runs')).toBeTruthy();
  });

  it('tells why a cue could not be done instead of that it is, until it is fired again', () => {
    const cues = [{ id: 'c1', kind: 'pairs' as const, size: 2 as const }];
    const steps = staff().steps.map((step) => (step.id === 'crossing' ? { ...step, cues } : step));
    const { wrapper, tell } = joined(ODALYS, { [STAFF]: staff({ steps }) });
    render(<Plan />, { wrapper });
    const words = () => screen.getByLabelText('Cues').textContent;
    tell(entry(STAFF, 'cued', { cue: 'c1' }));
    tell(entry(STAFF, 'cue_refused', { cue: 'c1', says: 'There are too few.' }));
    expect(words()).toContain('There are too few.');
    expect(words()).not.toContain('done');
    tell(entry(STAFF, 'cued', { cue: 'c1' }));
    expect(words()).not.toContain('There are too few.');
  });
});

describe('the bench', () => {
  const People = () => (
    <Bench
      groups={[{ id: 'main', name: null, seats: arranged(present(useSitting('s')!), usePlace('s')!, USUAL) }]}
      pictureOf={({ id }) => (id === 'farah' ? <video data-testid="picture" /> : undefined)}
      place={usePlace('s')!}
      room={PLACE}
      you={ODALYS}
    >
      <span />
    </Bench>
  );
  const order = () =>
    [...document.querySelectorAll('[data-testid^=seat-]')].map((one) => one.getAttribute('data-testid'));

  it('has raised hands first in their order, then staff, then the others by name', () => {
    const { wrapper, tell } = joined(ODALYS, { [PLACE]: place({ hands: ['jonas'] }) });
    render(<People />, { wrapper });
    expect(order()).toEqual(['seat-jonas', 'seat-odalys', 'seat-farah']);
    tell(entry(PLACE, 'hand_raised', {}, 'farah'));
    tell(entry(PLACE, 'hand_lowered', { person: 'jonas' }));
    expect(order()).toEqual(['seat-farah', 'seat-odalys', 'seat-jonas']);
  });

  it('shows some of the people, and whoever was heard least first, as staff ask', () => {
    const [jonas, odalys, farah] = SEATS as [Seat, Seat, Seat];
    const facts = place({ hands: ['farah'], signals: [{ person: 'jonas', signal: 'done', at: 1 }] });
    const names = (...arrangement: [Order, Show]) =>
      arranged(SEATS, facts, { order: arrangement[0], show: arrangement[1] }, heardRows).map(({ id }) => id);
    const heardRows = [{ person: 'jonas' }, { person: 'farah' }] as HeardRow[];
    expect(names('name', 'all')).toEqual(['farah', 'jonas', 'odalys']);
    expect(names('role', 'hands')).toEqual([farah.id]);
    expect(names('role', 'not_done')).toEqual([farah.id]);
    expect(names('heard', 'all')).toEqual([farah.id, jonas.id, odalys.id]);
    const both = { ...facts, hands: ['farah', 'jonas'] };
    expect(arranged(SEATS, both, { order: 'heard', show: 'hands' }, heardRows).map(({ id }) => id)).toEqual([
      'jonas',
      'farah',
    ]);
    const away = [{ ...jonas, presence: 'dropped' as const }, farah];
    expect(arranged(away, facts, { order: 'role', show: 'away' }).map(({ id }) => id)).toEqual(['jonas']);
  });

  it('keeps a picture the same element wherever its seat goes', () => {
    const { wrapper, tell } = joined();
    render(<People />, { wrapper });
    const picture = screen.getByTestId('picture');
    tell(entry(PLACE, 'hand_raised', {}, 'farah'));
    expect(order()[0]).toBe('seat-farah');
    expect(screen.getByTestId('picture')).toBe(picture);
  });

  it('has a name above each group where there are several', () => {
    const { wrapper } = joined();
    const groups = [
      { id: 'r1', name: 'Room 1', seats: [SEATS[0]!] },
      { id: 'r2', name: 'Room 2', seats: [SEATS[2]!] },
    ];
    render(
      <Bench groups={groups} place={place()} room={PLACE} you={ODALYS}>
        <span />
      </Bench>,
      { wrapper },
    );
    expect(within(screen.getByRole('group', { name: 'Room 2' })).getByText('Farah')).toBeTruthy();
    expect(screen.getByRole('group', { name: '2 people' })).toBeTruthy();
  });

  it('leaves out who has left, and tells who is away', () => {
    const seats = [
      ...SEATS,
      seat('ines', 'Ines Marlowe', { presence: 'left' }),
      seat('keiko', 'Keiko Arden', { presence: 'dropped' }),
    ];
    const { wrapper } = joined(ODALYS, { [SITTING]: sitting({ seats }) });
    render(<People />, { wrapper });
    expect(order()).not.toContain('seat-ines');
    expect(screen.getByText('reconnecting')).toBeTruthy();
  });
});

describe('the ribbon', () => {
  const Band = () => <ClassRibbon sitting={useSitting('s')!} you={ODALYS} rehearsal={false} />;

  it('goes by the clock of the server, wherever that of the device stands', () => {
    vi.useFakeTimers({ now: new Date(2026, 10, 25, 12, 0) });
    const { wrapper, tell } = joined();
    const timer = { ends_at: Date.now() + 3_600_000 + 90_000, label: 'Think' };
    render(
      <>
        <Band />
        <TimerLine place={place({ timer })} room={PLACE} staff={false} />
      </>,
      { wrapper },
    );
    tell({ t: 'timing', stream: SITTING, timing: timing({ at: Date.now() + 3_600_000 }) });
    act(() => void vi.advanceTimersByTime(5_100));
    expect(screen.getByText('13:00')).toBeTruthy();
    expect(screen.getByRole('timer').textContent).toContain('1:25');
  });

  it('says how much is recorded, in words that are told once', () => {
    vi.useFakeTimers();
    const { wrapper, asked } = joined(ODALYS, {
      [SITTING]: sitting({ stretches: [{ from: Date.now() - 61_000, to: null }] }),
    });
    render(<Band />, { wrapper });
    expect(screen.getByRole('status').textContent).toBe('Recording');
    expect(screen.getByText('1:01')).toBeTruthy();
    act(() => void vi.advanceTimersByTime(2_000));
    expect(screen.getByText('1:03')).toBeTruthy();
    fireEvent.click(screen.getByTitle('Stop recording'));
    expect(asked()).toEqual([['class.record', { on: false }]]);
  });

  it('counts who is here', () => {
    const { wrapper, tell } = joined();
    render(<Band />, { wrapper });
    expect(screen.getByText(/3 here/)).toBeTruthy();
    tell(entry(SITTING, 'left', {}, 'jonas'));
    expect(screen.getByText(/2 here/)).toBeTruthy();
  });

  it('tells for a while who came and went, together', () => {
    vi.useFakeTimers();
    const { wrapper, tell } = joined();
    render(<Band />, { wrapper });
    const people = [
      { id: 'hana', name: 'Hana Morozov', role: 'student' },
      { id: 'nils', name: 'Nils Okafor', role: 'student' },
    ];
    tell(entry(SITTING, 'joined', { people, place: 'main' }));
    tell(entry(SITTING, 'dropped', {}, 'jonas'));
    expect(screen.getByText('Hana and Nils came in, Jonas lost the connection')).toBeTruthy();
    act(() => void vi.advanceTimersByTime(6_100));
    expect(screen.queryByText(/came in/)).toBeNull();
  });

  it('says that time is up, and lets staff put the timer away', () => {
    const { wrapper, asked } = joined();
    render(<TimerLine place={place({ timer: { ends_at: Date.now() - 5 } })} room={PLACE} staff />, { wrapper });
    expect(screen.getByText('time is up')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Put the timer away' }));
    expect(asked()).toEqual([['class.stop_timer', {}]]);
  });
});

describe('what is looked at before the doors open', () => {
  it('is how the connection does, in words', () => {
    expect(connectionWords([20, 10, 30])).toBe('Good. 20 ms there and back, nothing lost.');
    expect(connectionWords([400, 300, 350])).toMatch(/^Fair.*350 ms/);
    expect(connectionWords([...Array<number>(19).fill(20), null])).toMatch(/^Fair.*1 of 20 lost/);
    expect(connectionWords([20, null, 30])).toMatch(/^Poor.*1 of 3 lost/);
    expect(connectionWords([null, null])).toMatch(/^Nothing came back/);
  });

  it('is who is missing of those expected, some by name', () => {
    const people = [...'abcdefghij'].map((id) => ({ id, name: `${id.toUpperCase()} Q` }));
    expect(missingWords([])).toBe('Everyone who is expected is here.');
    expect(missingWords(people.slice(0, 2))).toBe('Not here yet: A and B.');
    expect(missingWords(people)).toBe('Not here yet: A, B, C, D, E, F, G, H and 2 more.');
  });

  it('is asked of the server a few times, and what does not come back is lost', async () => {
    vi.useFakeTimers();
    const { client, socket, tell } = joined();
    const trips = client.roundTrips(2);
    tell({ t: 'pong' });
    await vi.advanceTimersByTimeAsync(2_100);
    expect(socket.said.filter(({ t }) => t === 'ping')).toHaveLength(2);
    expect(await trips).toEqual([expect.any(Number), null]);
  });
});

describe('who comes and goes', () => {
  it('is told by name, or by number where there are many; who came back at once has not been away', () => {
    const people = ['Ada', 'Bo', 'Cy', 'Di'].map((name) => seat(name, name, { presence: 'left' }));
    const here = people.map((one) => ({ ...one, presence: 'here' as const }));
    expect(passageWords(passages(people, here, 'x'))).toBe('4 people came in');
    expect(passageWords(passages(people, here, 'Di'))).toBe('Ada, Bo and Cy came in');
    const dropped = [{ ...here[0]!, presence: 'dropped' as const }];
    expect(passageWords([...passages(here, dropped, 'x'), ...passages(dropped, here.slice(0, 1), 'x')])).toBe(
      'Ada came back',
    );
    expect(passages(here, here, 'x')).toEqual([]);
    expect(passageWords(passages(dropped, [{ ...here[0]!, presence: 'left' }], 'x'))).toBe('Ada left');
  });
});

describe('before the class', () => {
  it('staff see who waits, and open the doors', () => {
    const waiting = [{ id: 'farah', name: 'Farah Lindqvist', role: 'student' as const, since: 1 }];
    const { wrapper, asked, tell } = joined(ODALYS, {
      [SITTING]: sitting({ status: 'planned' }),
      [STAFF]: staff({ waiting }),
    });
    render(<Doors sitting={sitting({ status: 'planned' })} you={ODALYS} facts={classFacts()} />, { wrapper });
    expect(screen.getByText('1 person waiting')).toBeTruthy();
    tell(entry(STAFF, 'waits', { id: 'jonas', name: 'Jonas Whitlock', role: 'student' }));
    expect(screen.getByText('2 people waiting')).toBeTruthy();
    tell(entry(STAFF, 'waits_no_more', { people: ['farah', 'jonas'] }));
    expect(screen.getByText('Nobody waits')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Open the doors' }));
    expect(asked()).toEqual([['class.open', {}]]);
  });

  it('students see what class it is, and who is there to teach it', () => {
    const welcome = {
      title: 'Fog',
      course: 'Navigation',
      starts_at: Date.now() + 90_000,
      minutes: 60,
      rehearsal: false,
    };
    const { wrapper } = joined(FARAH);
    const { rerender } = render(<WaitingRoom stage lesson="rules" doors={place({ welcome })} />, { wrapper });
    expect(screen.getByText(/The instructor is not here yet/)).toBeTruthy();
    expect(screen.getByText(/1:[23]\d to go/)).toBeTruthy();
    const later = new Date(2027, 5, 14, 18, 30);
    vi.setSystemTime(later.getTime() - 14.4 * 86_400_000);
    rerender(
      <WaitingRoom
        key="later"
        stage
        lesson="rules"
        doors={place({ welcome: { ...welcome, starts_at: later.getTime() } })}
      />,
    );
    expect(screen.getByText('Begins on Mon 14 Jun at 18:30')).toBeTruthy();
    expect(screen.getByText('14 days to go')).toBeTruthy();
    vi.useRealTimers();
    rerender(
      <WaitingRoom
        stage
        lesson="rules"
        doors={place({ welcome: { ...welcome, words: 'Bring a chart.\nAnd a pencil.', ink: 'lake' } })}
      />,
    );
    expect(screen.getByRole('region', { name: 'Welcome' }).textContent).toBe('Bring a chart.\nAnd a pencil.');
    rerender(
      <WaitingRoom stage lesson="rules" doors={place({ welcome, hosts: [{ id: 'odalys', name: 'Odalys Brandt' }] })} />,
    );
    expect(screen.getByText(/Odalys Brandt is here/)).toBeTruthy();
  });
});
