import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Activity } from '../../../api/shapes';
import { useSitting } from '../../../live/hooks';
import { secondsIn } from '../../../parts/rooms/PlanFields';
import { floorWords } from '../../../parts/words/floor';
import { place, seat, sitting, staff } from '../../../testing/classes';
import { connection, ODALYS } from '../../../testing/live';
import { BoardFor } from './BoardFor';
import { Matrix } from './Matrix';
import { metFrom } from './rooms';
import { OtherRoom } from './RoomLine';
import { Work } from './Work';

const posted: [string, unknown][] = [];
vi.mock('../../../api/http', async (original) => ({
  ...(await original<object>()),
  post: (path: string, body: unknown) => {
    posted.push([path, body]);
    return Promise.resolve({ board: 'made' });
  },
}));

const NAMES = { r1: 'Pell', r2: 'Marram', r3: 'Sable' };
const activity: Activity = {
  id: 'fog',
  name: 'Fog drill',
  step: null,
  plan: { by: 'rooms', number: 3 },
  seed: 1,
  again: 0,
  bound: 0,
  says: [],
  state: 'closed',
  ask_until: null,
  out: [],
  rooms: Object.entries(NAMES).map(([id, name], i) => ({
    id,
    name,
    people: [],
    boards: [{ id: `${id}--b`, name: 'Fog', first_page: 'p1' }],
    sat: [['farah'], ['jonas', 'gone'], []][i]!,
    open: false,
  })),
};

const board = (words: string) => ({
  pages: ['p1', 'p2'],
  page_facts: [],
  marks: [
    {
      id: 'm1',
      page: 'p1',
      kind: 'note',
      x: 100,
      y: 100,
      w: 300,
      size: 28,
      text: words,
      ink: 'lake',
      by: 'farah',
      at: 1,
      z: 1,
    },
    {
      id: 'm2',
      page: 'p2',
      kind: 'note',
      x: 100,
      y: 100,
      w: 300,
      size: 28,
      text: 'On two',
      ink: 'lake',
      by: 'farah',
      at: 1,
      z: 2,
    },
  ],
  authors: [{ id: 'farah', name: 'Farah Lindqvist' }],
  undo: [],
  top: 2,
  locked: false,
});

describe('what rooms made', () => {
  beforeEach(() => {
    posted.length = 0;
    vi.stubGlobal('matchMedia', () => ({ matches: true, addEventListener: () => {}, removeEventListener: () => {} }));
  });
  afterEach(cleanup);

  function shown() {
    const onShown = vi.fn();
    const {
      asked,
      socket,
      wrapper: Live,
    } = connection({
      you: ODALYS,
      streams: {
        'sitting/s': sitting({
          seats: [
            seat('farah', 'Farah Lindqvist'),
            seat('jonas', 'Jonas Whitlock'),
            seat('gone', 'Gethin Pryce', { presence: 'left' }),
            seat('odalys', 'Odalys Brandt', { role: 'instructor' }),
          ],
        }),
        'place/s.main': place(),
        'staff/s': staff({ activities: [activity] }),
        ...Object.fromEntries(Object.entries(NAMES).map(([id, name]) => [`board/${id}--b`, board(`Made in ${name}`)])),
      },
    });
    const wrapper = ({ children }: { children: ReactNode }) => (
      <QueryClientProvider client={new QueryClient()}>{Live({ children })}</QueryClientProvider>
    );
    const Page = () => (
      <Work sitting={useSitting('s')!} activity={activity} onShown={onShown}>
        {null}
      </Work>
    );
    render(<Page />, { wrapper });
    return { asked, onShown, socket };
  }
  const choose = (name: string) => fireEvent.click(screen.getByLabelText(`Choose ${name}`));
  const put = async (label: string) => {
    fireEvent.click(screen.getByRole('button', { name: label, hidden: true }));
    await act(() => new Promise((wait) => setTimeout(wait, 20)));
  };

  it('of one room comes before the class as the whole board it is', async () => {
    const { asked } = shown();
    expect((screen.getByRole('button', { name: 'Put it before the class' }) as HTMLButtonElement).disabled).toBe(true);
    choose('Pell');
    await put('Put it before the class');
    expect(posted).toEqual([['/api/classes/s/boards', { copy: 'r1--b', named: true }]]);
    expect(asked().filter(([name]) => name === 'class.show')).toEqual([['class.show', { board: 'made', page: 'p1' }]]);
  });

  it('stays chosen when it may not be shown, and the floor with whom it was', async () => {
    const { asked, onShown, socket } = shown();
    choose('Pell');
    await put('Put it before the class');
    const { id } = socket.said.find((said) => said.do === 'class.show')!;
    await act(async () =>
      socket.tell({ t: 'refused', id: id as string, code: 'class_ended', says: 'This class has ended.' }),
    );
    expect(onShown).not.toHaveBeenCalled();
    expect(asked().map(([name]) => name)).not.toContain('class.lend_floor');
  });

  it('of several is side by side, in the order of the rooms, page by page or mark by mark', async () => {
    shown();
    choose('Marram');
    choose('Pell');
    fireEvent.click(within(screen.getByRole('region', { name: 'Marram' })).getByRole('button', { name: 'Next page' }));
    fireEvent.mouseDown(within(screen.getByRole('region', { name: 'Pell' })).getByRole('combobox'));
    fireEvent.click(screen.getByRole('option', { name: 'note by Farah: Made in Pell' }));
    await put('Put 2 side by side');
    expect(posted).toEqual([
      [
        '/api/classes/s/rooms/fog/side-by-side',
        {
          pieces: [
            { room: 'r1', board: 'r1--b', page: 'p1', marks: ['m1'] },
            { room: 'r2', board: 'r2--b', page: 'p2' },
          ],
        },
      ],
    ]);
  });

  it('is chosen all at once, or none of it', () => {
    shown();
    fireEvent.click(screen.getByRole('button', { name: 'Choose all' }));
    expect(screen.getByRole('button', { name: 'Put 3 side by side' })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Choose none' }));
    expect(screen.getByRole('button', { name: 'Put it before the class' })).toBeTruthy();
  });

  it('begins with a copy of what is chosen for a room', () => {
    const onChoose = vi.fn();
    render(<BoardFor room={activity.rooms[0]!} boards={[{ id: 'b2', name: 'Crossing' }]} onChoose={onChoose} />);
    for (const name of ['Crossing', 'An empty one']) {
      fireEvent.mouseDown(screen.getByRole('combobox'));
      fireEvent.click(screen.getByRole('option', { name }));
    }
    expect(onChoose.mock.calls).toEqual([[['b2']], [[]]]);
  });

  it('tells who sits together now and did before, in words too', () => {
    const rooms = [
      { ...activity.rooms[0]!, people: ['farah', 'jonas'] },
      { ...activity.rooms[1]!, people: ['ines'] },
    ];
    const names = new Map([
      ['farah', 'Farah Lindqvist'],
      ['jonas', 'Jonas Whitlock'],
      ['ines', 'Ines Cavallero'],
    ]);
    render(<Matrix rooms={rooms} met={metFrom([{ one: 'farah', other: 'jonas', times: 2 }])} names={names} />);
    const [, first] = screen.getAllByRole('row', { hidden: true });
    expect(first!.textContent).toBe('FLnow, 2 before');
  });

  it('names who is in which room where those who choose may see it', async () => {
    const rooms = [{ id: 'r1', name: 'Pell' }];
    const row = { id: 'fog', name: 'Fog', step: null, free: true, rooms, opened_at: 1, closed_at: null };
    const { wrapper } = connection({ you: ODALYS, streams: {} });
    const offered = (named: boolean) => {
      const now = sitting({
        places: [
          { id: 'main', name: 'Main room' },
          { id: 'r1', name: 'Pell', activity: 'fog' },
        ],
        activities: [{ ...row, named }],
        seats: [seat('farah', 'Farah Lindqvist', { place: 'r1' })],
      });
      render(<OtherRoom sitting={now} at="main" onGo={() => {}} />, { wrapper });
      fireEvent.click(screen.getByRole('button', { name: 'Rooms that are open: Choose a room' }));
      const said = screen.getByRole('menuitem').textContent;
      cleanup();
      return said;
    };
    expect([offered(true), offered(false)]).toEqual(['Pell (Farah)', 'Pell (1 in it)']);
  });
});

describe('in words', () => {
  it('has the floor whoever has it', () => {
    const others = ['Farah', 'Jonas', 'Ines', 'Nils', 'Hana'];
    expect([
      floorWords(false, ['Farah']),
      floorWords(true, []),
      floorWords(true, ['Jonas']),
      floorWords(false, others.slice(0, 2)),
      floorWords(false, others),
      floorWords(true, others),
    ]).toEqual([
      'Farah has the floor',
      'You have the floor',
      'You and Jonas have the floor',
      'Farah and Jonas have the floor',
      '5 people have the floor',
      'You and 5 others have the floor',
    ]);
  });

  it('warns when so many seconds are left as were typed', () => {
    expect([secondsIn('60, 300 and 120; 60'), secondsIn('2'), secondsIn('soon')]).toEqual([
      [300, 120, 60],
      undefined,
      undefined,
    ]);
  });
});
