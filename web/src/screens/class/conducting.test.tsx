import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { RULES } from '../../api/contracts';
import type { Incoming, PlaceView, StaffView, SurveyRow } from '../../api/shapes';
import { usePlace, useSitting, useStaff } from '../../live/hooks';
import { ALL } from '../../parts/words/rights';
import { classFacts, EXCHANGE, PLACE, place, seat, SITTING, sitting, STAFF, staff, own } from '../../testing/classes';
import { connection, FARAH, ODALYS } from '../../testing/live';
import { AtTheDoors } from './AtTheDoors';
import { formOf } from './Bench';
import { HouseRules } from './HouseRules';
import { Teaching } from './Teaching';
import { WaitingRoom } from './WaitingRoom';

const survey = vi.hoisted(() => ({ people: [] as SurveyRow[], asked: [] as string[], heard: {} as object }));
vi.mock('../../api/http', async (original) => ({
  ...(await original<object>()),
  get: (path: string) => {
    if (path.endsWith('/heard')) return Promise.resolve(survey.heard);
    if (path.endsWith('/newcomers')) return Promise.resolve({ people: ['ruth'] });
    if (!path.includes('/rights')) return new Promise(() => {});
    survey.asked.push(path);
    return Promise.resolve({ people: survey.people });
  },
}));
const row = (person: string, other: Partial<SurveyRow['rights']> = {}) => {
  const usual = Object.fromEntries(ALL.map((right) => [right, { allowed: RULES[right], from: 'rule' }]));
  return { person, rights: { ...usual, ...other } } as SurveyRow;
};

beforeEach(() => {
  vi.stubGlobal('matchMedia', (query: string) => ({
    matches: query.includes('min-width'),
    media: query,
    addEventListener: () => {},
    removeEventListener: () => {},
  }));
  survey.people = [row('farah', { draw: { allowed: false, from: 'step' } }), row('jonas')];
  survey.asked = [];
  survey.heard = { people: [], gini: null };
});

const joined = (you = ODALYS, facts: Partial<PlaceView> = {}, more: Record<string, unknown> = {}) => {
  const streams = {
    [SITTING]: sitting(),
    [PLACE]: place(facts),
    [EXCHANGE]: { posts: [], pinned: [] },
    [`own/s.${you.id}`]: own(),
    ...(you.staff && { [STAFF]: staff() }),
    ...more,
  };
  const live = connection({ you, streams });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>
      <MemoryRouter>{live.wrapper({ children })}</MemoryRouter>
    </QueryClientProvider>
  );
  const Room = () => <Teaching sitting={useSitting('s')!} you={you} facts={classFacts()} />;
  render(<Room />, { wrapper });
  return live;
};
const WELCOME = { title: 'Lights', course: 'Navigation', starts_at: 1, minutes: 60, rehearsal: false };
const press = (key: string) => fireEvent.keyDown(document.body, { key });
const button = (name: string | RegExp) => screen.getByRole('button', { name });
let seq = 0;
beforeEach(() => (seq = 0));
const entry = (kind: string, body: object, by = 'odalys') =>
  ({ t: 'entry', stream: PLACE, seq: ++seq, at: Date.now(), by, kind, body }) as unknown as Incoming;

describe('the floor', () => {
  it('goes to the next hand by one key, or by the word beside it', () => {
    const { asked } = joined(ODALYS, { hands: ['jonas', 'farah'] });
    press('f');
    fireEvent.click(button('Floor to Jonas'));
    expect(asked()).toEqual([
      ['class.lend_floor', {}],
      ['class.lend_floor', { person: 'jonas' }],
    ]);
  });

  it('is told above the paper and on the bench, with the way back for staff', () => {
    const { asked, tell } = joined();
    expect(screen.queryByLabelText('The floor')).toBeNull();
    tell(entry('floor_lent', { person: 'farah', until: Date.now() + 60_000 }));
    expect(screen.getByLabelText('The floor').textContent).toMatch(/^Farah has the floor\.(1:00|0:59) left/);
    expect(screen.getByTestId('seat-farah').textContent).toContain('Farah, floor');
    fireEvent.click(button('Take the floor back'));
    expect(asked()).toEqual([['class.take_floor', {}]]);
    tell(entry('floor_back', {}));
    expect(screen.queryByLabelText('The floor')).toBeNull();
  });

  it('tells whoever has it what that means, and lets nobody else give it back', () => {
    const { asked } = joined(FARAH, { floor: { person: 'farah', with: [], since: 1, until: null } });
    expect(screen.getByLabelText('The floor').textContent).toContain('You may speak, draw and share');
    fireEvent.click(button('Give it back'));
    expect(asked()).toEqual([['class.take_floor', {}]]);
  });

  it('is no student’s to take from another', () => {
    joined(FARAH, { floor: { person: 'jonas', with: [], since: 1, until: null } });
    expect(within(screen.getByLabelText('The floor')).queryByRole('button')).toBeNull();
    press('f');
  });
});

describe('signals', () => {
  it('are given by one tap or key, and taken back by the same', () => {
    const { asked, tell } = joined(FARAH);
    fireEvent.click(button('Slower'));
    press('d');
    tell(entry('signalled', { signal: 'done' }, 'farah'));
    expect(button('Done').getAttribute('aria-pressed')).toBe('true');
    press('d');
    press('c');
    expect(asked()).toEqual([
      ['class.signal', { signal: 'slower' }],
      ['class.signal', { signal: 'done' }],
      ['class.signal', {}],
      ['class.signal', { signal: 'clap' }],
    ]);
  });

  it('are counted for staff, with who has not, and cleared by hand', () => {
    const { asked, tell } = joined();
    tell(entry('signalled', { signal: 'done' }, 'farah'));
    fireEvent.click(button('1 of 2 done'));
    const told = screen.getByRole('dialog', { name: 'Signals' });
    expect(told.textContent).toContain('done Farah');
    expect(told.textContent).toContain('not yet Jonas');
    fireEvent.click(button('Clear the signals'));
    expect(asked()).toEqual([['class.clear_signals', {}]]);
    tell(entry('signals_cleared', {}));
    expect(screen.queryByText('1 of 2 done')).toBeNull();
  });

  it('stand under the name of whoever gave them, claps for a moment only', () => {
    joined(FARAH, {
      signals: [
        { person: 'jonas', signal: 'back_soon', at: Date.now() - 3_600_000 },
        { person: 'odalys', signal: 'clap', at: Date.now() - 60_000 },
      ],
    });
    expect(screen.getByTestId('seat-jonas').textContent).toContain('Jonas, back soon');
    expect(screen.getByTestId('seat-odalys').textContent).not.toContain('clap');
  });
});

describe('the bench', () => {
  const people = (number: number) =>
    Array.from({ length: number }, (_, i) => seat(`p${i}`, `Person ${String(i).padStart(3, '0')}`));
  const full = (number: number, facts: Partial<PlaceView> = {}) => {
    const seats = [seat('odalys', 'Odalys Brandt', { role: 'instructor' }), ...people(number)];
    return joined(ODALYS, facts, { [SITTING]: sitting({ seats }) });
  };
  const order = () => screen.getAllByTestId(/^seat-/).map((one) => one.dataset.testid!.slice(5));

  it('lies by how many there are', () => {
    expect([1, 3, 4, 24, 25, 300].map((number) => formOf(true, number))).toEqual([
      'few',
      'few',
      'plain',
      'plain',
      'many',
      'many',
    ]);
    expect([1, 300].map((number) => formOf(false, number))).toEqual(['line', 'line']);
  });

  it('keeps hands first among three hundred', () => {
    full(300, { hands: ['p299', 'p7'] });
    expect(order().slice(0, 3)).toEqual(['p299', 'p7', 'odalys']);
    expect(order()).toHaveLength(301);
  });

  it('finds a person by part of the name, and opens their seat', async () => {
    full(60);
    press('g');
    const field = await screen.findByLabelText('Name, or part of it');
    expect(screen.getByText('And 49 more.')).toBeTruthy();
    fireEvent.change(field, { target: { value: 'ON 04' } });
    expect(screen.getAllByRole('listitem')).toHaveLength(10);
    fireEvent.change(field, { target: { value: 'zz' } });
    expect(screen.getByText('Nobody here is called that.')).toBeTruthy();
    fireEvent.keyDown(field, { key: 'Enter' });
    fireEvent.change(field, { target: { value: 'person 042' } });
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(await screen.findByRole('dialog', { name: 'Person 042' })).toBeTruthy();
  });
});

describe('what is said to who listens', () => {
  const said = () => screen.getByTestId('announcer').textContent;

  it('is who has the floor, and that it is back', () => {
    const { tell } = joined(FARAH);
    tell(entry('floor_lent', { person: 'jonas', until: null }));
    expect(said()).toBe('Jonas Whitlock has the floor');
    tell(entry('floor_lent', { person: 'farah', until: null }));
    expect(said()).toBe('You have the floor');
    tell(entry('floor_back', {}));
    expect(said()).toBe('The floor is back');
  });

  it('is what staff signal, and to staff what students do', () => {
    const { tell } = joined(FARAH);
    tell(entry('signalled', { signal: 'slower' }, 'jonas'));
    expect(said()).toBe('');
    tell(entry('signalled', { signal: 'back_soon' }, 'odalys'));
    expect(said()).toBe('Odalys Brandt: back soon');
  });

  it('is every signal to staff, once', () => {
    const { tell } = joined();
    tell(entry('signalled', { signal: 'slower' }, 'jonas'));
    expect(said()).toBe('Jonas Whitlock: slower');
    tell(entry('hand_raised', {}, 'farah'));
    expect(said()).toBe('Farah Lindqvist raised a hand');
    tell(entry('shown', { board: 'b1', page: 'p1' }));
    expect(said()).toBe('Farah Lindqvist raised a hand');
  });
});

describe('who has not been heard', () => {
  const row = (person: string, more = {}) => ({
    person,
    last: null,
    spells: 0,
    posts: 0,
    marks: 0,
    hands: 0,
    floors: 0,
    answers: 0,
    signals: 0,
    ...more,
  });

  it('is told by one key, whoever was heard least first, and is lent the floor from there', async () => {
    const farah = row('farah', { last: Date.now() - 185_000, spells: 2, posts: 1, marks: 12, floors: 2 });
    survey.heard = { people: [row('jonas'), farah], gini: 0.62 };
    const { asked } = joined();
    press('q');
    const told = await screen.findByRole('dialog', { name: 'Who has not been heard' });
    const items = (await within(told).findAllByRole('listitem')).map(({ textContent }) => textContent);
    expect(items).toEqual([
      'Jonas Whitlocknothing yetLend Jonas the floor',
      'Farah Lindqvist3 min ago · 1 post, 12 marks, 2 times with the floorLend Farah the floor',
    ]);
    expect(told.textContent).toContain('A few do most of what is done (0.62,');
    fireEvent.click(button('Lend Jonas the floor'));
    expect(asked()).toEqual([['class.lend_floor', { person: 'jonas' }]]);
  });

  it('is nothing where nobody did anything', async () => {
    survey.heard = { people: [row('jonas')], gini: null };
    joined();
    fireEvent.click(button('Quiet'));
    expect(await screen.findByText('Nobody has done anything that counts yet.')).toBeTruthy();
  });

  it('is no student’s to ask', () => {
    joined(FARAH);
    expect(screen.queryByRole('button', { name: 'Quiet' })).toBeNull();
  });
});

describe('a seat', () => {
  const opened = async (facts: Partial<PlaceView> = {}) => {
    const live = joined(ODALYS, facts);
    fireEvent.click(screen.getByTitle('Farah Lindqvist'));
    await screen.findByLabelText('Draw: Farah Lindqvist');
    return live;
  };

  it('tells what they may do and what decides it, as the server has it', async () => {
    await opened();
    expect(survey.asked).toEqual(['/api/classes/s/places/main/rights?person=farah']);
    const rights = screen.getByLabelText('What Farah Lindqvist may do').textContent;
    expect(rights).toContain('Drawno: rule of a step');
    expect(rights).toContain('Post to everyoneyes: rule for all');
  });

  it('tells what they did in this class', async () => {
    survey.heard = {
      people: [
        {
          person: 'farah',
          last: Date.now() - 125_000,
          spells: 1,
          posts: 2,
          marks: 0,
          answers: 0,
          hands: 1,
          floors: 0,
          signals: 0,
        },
      ],
      gini: 0,
    };
    await opened();
    expect(await screen.findByText('Today: 2 min ago · 2 posts, 1 hand')).toBeTruthy();
  });

  it('leads to words for that person alone', async () => {
    const { asked } = await opened();
    fireEvent.click(button('Write to Farah alone'));
    const input = await screen.findByLabelText('Write to Farah');
    fireEvent.change(input, { target: { value: 'Shall I ask you next?' } });
    fireEvent.keyDown(input, { key: 'Enter' });
    expect(asked().at(-1)).toEqual([
      'exchange.begin_thread',
      expect.objectContaining({
        people: ['farah'],
        staff: false,
        post: expect.objectContaining({ text: 'Shall I ask you next?' }),
      }),
    ]);
  });

  it('makes an exception by a switch', async () => {
    const { asked } = await opened();
    fireEvent.click(screen.getByLabelText('Draw: Farah Lindqvist'));
    expect(asked()).toEqual([['class.rule', { right: 'draw', allow: true, person: 'farah' }]]);
  });

  it('asks again once the rules are others', async () => {
    const { tell } = await opened({ rules: { for_all: { ...RULES, draw: false }, exceptions: [], by_step: ['draw'] } });
    survey.people = [row('farah', { draw: { allowed: true, from: 'exception' } })];
    tell(entry('ruled', { right: 'draw', allow: true, person: 'farah' }));
    expect(await screen.findByText('yes: an exception')).toBeTruthy();
  });

  it('lends the floor for a while, and takes down a hand', async () => {
    const { asked } = await opened({ hands: ['farah'] });
    fireEvent.click(button('… for 2 min'));
    fireEvent.click(screen.getByTitle('Farah Lindqvist'));
    fireEvent.click(await screen.findByText('Take down the hand of Farah'));
    expect(asked()).toEqual([
      ['class.lend_floor', { person: 'farah', seconds: 120 }],
      ['class.lower_hand', { person: 'farah' }],
    ]);
  });

  it('is sent back to wait, or removed, from the place it is in', async () => {
    const { asked } = await opened();
    fireEvent.click(button('Send Farah back to wait'));
    fireEvent.click(screen.getByTitle('Farah Lindqvist'));
    fireEvent.click(await screen.findByText('Remove Farah from the class'));
    expect(asked()).toEqual([
      ['class.send_to_wait', { person: 'farah', place: 'main' }],
      ['class.remove', { person: 'farah', place: 'main' }],
    ]);
  });

  it('of one’s own has what staff tell the class', async () => {
    const { asked } = joined();
    fireEvent.click(screen.getByTitle('Odalys Brandt'));
    fireEvent.click(await screen.findByText('Tell the class: back soon'));
    press('c');
    expect(asked()).toEqual([
      ['class.signal', { signal: 'back_soon' }],
      ['class.signal', { signal: 'clap' }],
    ]);
  });

  it('is opened by staff alone', () => {
    joined(FARAH);
    expect(screen.getByTitle('Jonas Whitlock').tagName).toBe('DIV');
  });
});

describe('at the doors', () => {
  const doors = (more: Partial<StaffView>) => {
    const live = connection({ you: ODALYS, streams: { [STAFF]: staff(more) } });
    const Those = () => <AtTheDoors sitting="s" staff={useStaff('s')!} open />;
    render(
      <QueryClientProvider client={new QueryClient()}>
        <Those />
      </QueryClientProvider>,
      { wrapper: live.wrapper },
    );
    return live;
  };
  const row = (id: string, name: string, more = {}) => ({ id, name, role: 'student' as const, since: 1, ...more });

  it('people are let in one by one, or all of them', () => {
    const many = Array.from({ length: 27 }, (_, i) => row(`p${i}`, `Person ${i}`));
    const { asked } = doors({ waiting: many });
    fireEvent.click(screen.getAllByRole('button', { name: 'Let in' })[3]!);
    fireEvent.click(button('Let all 27 in'));
    const let_in = asked().map(([, input]) => (input as { people: string[] }).people.length);
    expect(let_in).toEqual([1, 25, 2]);
    expect(asked()[0]).toEqual(['class.let_in', { people: ['p3'] }]);
  });

  it('say who is here for the first time, and who is a guest', async () => {
    doors({ waiting: [row('ruth', 'Ruth Tallis', { role: 'guest' }), row('nils', 'Nils Aro')] });
    expect(await screen.findByText('here for the first time · guest')).toBeTruthy();
  });

  it('say who was sent back or removed, and how people come in', () => {
    const { asked, tell } = doors({
      waiting: [row('ruth', 'Ruth Tallis', { held: true })],
      removed: [{ id: 'nils', name: 'Nils Aro', role: 'guest' }],
    });
    expect(screen.getByText('sent back to wait')).toBeTruthy();
    fireEvent.click(button('Let back'));
    fireEvent.click(button('Remove Ruth Tallis'));
    fireEvent.click(screen.getByLabelText('Everyone comes straight in'));
    expect(asked()).toEqual([
      ['class.let_back', { person: 'nils' }],
      ['class.remove', { person: 'ruth', place: 'waiting' }],
      ['class.set_doors', { each: true }],
    ]);
    tell({ ...entry('doors_set', { each: true }), stream: STAFF } as unknown as Incoming);
    expect(screen.getByText('Each comes in when let in')).toBeTruthy();
  });

  it('are told to who waits: whether the class is going on', () => {
    const live = connection({ streams: { 'place/s.waiting': place({ begun: true, welcome: WELCOME }) } });
    render(
      <WaitingRoom
        stage
        lesson="rules"
        doors={place({ begun: true, welcome: WELCOME, hosts: [{ id: 'o', name: 'Odalys Brandt' }] })}
      />,
      {
        wrapper: ({ children }) => (
          <QueryClientProvider client={new QueryClient()}>
            <MemoryRouter>{live.wrapper({ children })}</MemoryRouter>
          </QueryClientProvider>
        ),
      },
    );
    expect(screen.getByText(/The class is going on. Odalys Brandt lets you in./)).toBeTruthy();
  });
});

describe('all house rules', () => {
  it('tell where each came from and who is an exception, and are changed there', async () => {
    survey.people = [
      row('farah', { share: { allowed: true, from: 'floor' } }),
      row('jonas', { share: { allowed: true, from: 'exception' } }),
    ];
    const facts = place({ rules: { for_all: { ...RULES, draw: false }, exceptions: [], by_step: ['draw'] } });
    const live = connection({ you: ODALYS, streams: { [SITTING]: sitting(), [PLACE]: facts } });
    const Rules = () => (
      <HouseRules sitting={useSitting('s')!} at="main" place={usePlace('s')!} onClose={() => undefined} />
    );
    render(<Rules />, {
      wrapper: ({ children }: { children: ReactNode }) => (
        <QueryClientProvider client={new QueryClient()}>{live.wrapper({ children })}</QueryClientProvider>
      ),
    });
    const item = (words: string) => screen.getByText(words).closest('li')!;
    await screen.findByText(/Farah may: has the floor/);
    expect(item('Nobody shares a screen').textContent).toContain('Jonas may: an exception');
    expect(item('Nobody draws').textContent).toContain('rule of a step');
    expect(screen.getAllByRole('listitem')).toHaveLength(14);
    fireEvent.click(screen.getByLabelText('All may add pages'));
    fireEvent.click(screen.getByLabelText('Staff read what students write to one another'));
    expect(live.asked()).toEqual([
      ['class.rule', { right: 'add', allow: true }],
      ['class.set_exchange', { oversight: true }],
    ]);
    expect(survey.asked).toEqual(['/api/classes/s/places/main/rights']);
  });
});
