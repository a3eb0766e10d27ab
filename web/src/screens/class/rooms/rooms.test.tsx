import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Activity, OwnView, PlaceView, SittingView, You } from '../../../api/shapes';
import { arrange } from '../../../live/activities';
import { usePlace, useSitting, useStaff } from '../../../live/hooks';
import { own, place, seat, sitting, staff } from '../../../testing/classes';
import { connection, FARAH, ODALYS } from '../../../testing/live';
import { namesIn, within } from '../../../parts/rooms/PlanFields';
import { AddressLine, withAddress } from './AddressLine';
import { AskedLine } from './AskedLine';
import { RoomLine } from './RoomLine';
import { sizesInWords, timeOf } from './rooms';
import { RoomsOfSheet } from './RoomsOfSheet';

const ROOMS = [
  { id: 'r1', name: 'Pell' },
  { id: 'r2', name: 'Marram' },
];

const activity = (more: Partial<Activity> = {}): Activity => ({
  id: 'fog',
  name: 'Fog drill',
  step: null,
  plan: { by: 'rooms', number: 2 },
  seed: 1,
  again: 0,
  bound: 0,
  says: [],
  state: 'open',
  ask_until: null,
  out: [],
  rooms: ROOMS.map((room) => ({
    ...room,
    people: [],
    boards: [{ id: `${room.id}--b`, name: 'Fog' }],
    sat: [],
    open: true,
  })),
  ...more,
});

const room = (more: Partial<NonNullable<PlaceView['room']>> = {}) => ({
  activity: 'fog',
  name: 'Pell',
  title: 'Fog drill',
  boards: [],
  words: 'Roll for visibility.',
  ends_at: null,
  grace: 30,
  warnings: [120, 60],
  free: false,
  read: false,
  quiet: false,
  recorded: false,
  leaders: [],
  opened_at: 0,
  closed: false,
  ...more,
});

describe('the time of a room', () => {
  it('warns once each time that there is something new to say', () => {
    const says = (left: number) => timeOf({ ends_at: left, grace: 30, warnings: [120, 60] }, 0).says;
    expect([121_000, 120_000, 61_000, 60_000, 1_000].map(says)).toEqual([
      null,
      '2 minutes left.',
      '2 minutes left.',
      'One minute left.',
      'One minute left.',
    ]);
    expect(timeOf({ ends_at: 0, grace: 30, warnings: [] }, 10_000)).toMatchObject({ left: -10_000, finish: 20_000 });
    expect(timeOf({ ends_at: null, grace: 30, warnings: [60] }, 0)).toEqual({ left: null, finish: null, says: null });
  });

  it('tells sizes as people say them', () => {
    expect(
      [
        [3, 3, 3],
        [4, 4, 3, 3],
        [3, 3, 2, 2, 2, 2],
      ].map(sizesInWords),
    ).toEqual(['3 × 3', '4·4·3·3', '6 of 3 and 2']);
  });

  it('takes names that were pasted, and numbers that make sense', () => {
    expect(namesIn('Pell\n Marram, Sable\t\n')).toEqual(['Pell', 'Marram', 'Sable']);
    expect([within('15', 1, 60), within('999', 1, 60), within('', 1, 60), within('soon', 1, 60)]).toEqual([
      15,
      60,
      null,
      null,
    ]);
  });
});

describe('what staff know of rooms', () => {
  it('follows dealing, moving, opening and closing', () => {
    const { id, name, step, plan, seed, again, bound, says } = activity();
    const people = ROOMS.map((room, i) => ({ ...room, people: [['farah'], ['jonas']][i]! }));
    let now = arrange([], 'dealt', { id, name, step, plan, seed, again, bound, says, rooms: people });
    now = arrange(now, 'assigned', { activity: 'fog', moves: [{ person: 'farah', room: 'r2' }] });
    expect(now[0]!.rooms.map((one) => one.people)).toEqual([[], ['jonas', 'farah']]);
    now = arrange(now, 'assigned', { activity: 'fog', moves: [{ person: 'jonas', room: null }] });
    expect(now[0]!.out).toEqual(['jonas']);
    now = arrange(now, 'room_set', { activity: 'fog', room: 'r3', name: 'Sable' });
    now = arrange(now, 'room_gone', { activity: 'fog', room: 'r1' });
    now = arrange(now, 'rooms_opened', {
      activity: 'fog',
      ask_until: null,
      rooms: [{ id: 'r2', boards: [{ id: 'r2--b', name: 'Fog' }] }],
    });
    expect(now[0]).toMatchObject({
      state: 'open',
      rooms: [
        { id: 'r2', open: true, boards: [{ id: 'r2--b' }] },
        { id: 'r3', open: true },
      ],
    });
    now = arrange(now, 'rooms_closed', { activity: 'fog', rooms: [{ id: 'r2', sat: ['farah'] }] });
    expect(now[0]!.state).toBe('open');
    now = arrange(now, 'rooms_closed', { activity: 'fog', rooms: [{ id: 'r3', sat: [] }] });
    expect(now[0]).toMatchObject({ state: 'closed', rooms: [{ sat: ['farah'] }, { sat: [] }] });
  });
});

describe('in the browser', () => {
  beforeEach(() => {
    vi.stubGlobal('matchMedia', (query: string) => ({
      matches: query.includes('min-width'),
      media: query,
      addEventListener: () => {},
      removeEventListener: () => {},
    }));
  });

  afterEach(cleanup);

  const joined = (
    you: You,
    here: Partial<PlaceView>,
    more: { own?: Partial<OwnView>; sitting?: Partial<SittingView>; activities?: Activity[] } = {},
  ) => {
    const { asked, ...rest } = connection({
      you,
      streams: {
        'sitting/s': sitting({
          places: [{ id: 'main', name: 'Main room' }, ...ROOMS.map((one) => ({ ...one, activity: 'fog' }))],
          activities: [
            {
              id: 'fog',
              name: 'Fog drill',
              step: null,
              free: false,
              named: false,
              rooms: ROOMS,
              opened_at: 0,
              closed_at: null,
            },
          ],
          seats: [
            seat('farah', 'Farah Lindqvist', { place: 'r1' }),
            seat('odalys', 'Odalys Brandt', { role: 'instructor' }),
          ],
          ...more.sitting,
        }),
        'place/s.main': place(),
        'place/s.r1': place({ room: room(), ...here }),
        'place/s.r2': place({ room: room({ name: 'Marram' }) }),
        'staff/s': staff({ activities: more.activities ?? [activity()] }),
        [`own/s.${you.id}`]: own({ place: 'r1', ...more.own }),
      },
    });
    const wrapper = ({ children }: { children: ReactNode }) => (
      <QueryClientProvider client={new QueryClient()}>{rest.wrapper({ children })}</QueryClientProvider>
    );
    return { wrapper, given: () => asked().at(-1) };
  };

  const Inside = ({ you }: { you: You }) => (
    <RoomLine sitting={useSitting('s')!} place={usePlace('s', 'r1')!} at="r1" you={you} />
  );

  it('shows what is to be done, calls, and keeps what was said until it is read', () => {
    const { wrapper, given } = joined(FARAH, {
      announced: [{ id: 'a', words: 'Two minutes more', name: 'Odalys Brandt', at: 1 }],
    });
    render(<Inside you={FARAH} />, { wrapper });
    expect(screen.getByText('Roll for visibility.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Call the instructor' }));
    expect(given()).toEqual(['room.call', { on: true }]);
    fireEvent.click(screen.getByRole('button', { name: 'I have read it' }));
    expect(screen.queryByText('Odalys: Two minutes more')).toBeNull();
    expect(screen.queryByRole('button', { name: 'Step out' })).toBeNull();
  });

  const addressed = { person: 'odalys', name: 'Odalys Brandt', voice: true, screen: false, since: 1 };

  it('tells inside who speaks to every room; whoever does ends it outside', () => {
    const { wrapper, given } = joined(FARAH, {}, { sitting: { address: addressed } });
    const Line = ({ you, at }: { you: You; at: string }) => (
      <AddressLine sitting={useSitting('s')!} you={you} at={at} />
    );
    const { rerender } = render(<Line you={FARAH} at="r1" />, { wrapper });
    expect(screen.getByText('Odalys speaks to every room.')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
    rerender(<Line you={FARAH} at="main" />);
    expect(screen.queryByText(/every room/)).toBeNull();
    rerender(<Line you={ODALYS} at="main" />);
    expect(screen.getByText('You speak to every room.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Speak here alone' }));
    expect(given()).toEqual(['rooms.address', { voice: false, screen: false }]);
  });

  it('has the screen that is shown in every room, but for a room that shows one of its own', () => {
    const all = sitting({ address: { ...addressed, screen: true } });
    const own = { person: 'farah', name: 'Farah', since: 2, paused: false, front: true };
    expect(withAddress(place({ room: room() }), all).screen).toMatchObject({ person: 'odalys', front: true });
    expect(withAddress(place({ room: room(), screen: own }), all).screen).toBe(own);
    expect(withAddress(place(), all).screen).toBeNull();
    expect(withAddress(place({ room: room() }), sitting({ address: addressed })).screen).toBeNull();
  });

  it('tells whoever is asked which room is theirs', () => {
    const { wrapper, given } = joined(
      FARAH,
      {},
      { own: { place: 'main', asked: { room: 'r1', name: 'Pell', activity: 'fog', until: Date.now() + 9_000 } } },
    );
    const Main = () => (
      <AskedLine
        sitting={useSitting('s')!}
        own={own({ asked: { room: 'r1', name: 'Pell', activity: 'fog', until: Date.now() + 9_000 } })}
      />
    );
    render(<Main />, { wrapper });
    fireEvent.click(screen.getByRole('button', { name: 'Go to Pell' }));
    expect(given()).toEqual(['rooms.go', { to: 'r1', from: 'main' }]);
  });

  it('tells staff who calls, and takes them there', () => {
    const { wrapper, given } = joined(ODALYS, {
      call: { person: 'farah', name: 'Farah Lindqvist', since: Date.now() - 130_000 },
    });
    const Plan = () => <RoomsOfSheet sitting={useSitting('s')!} staff={useStaff('s')!} at="main" onRooms={() => {}} />;
    render(<Plan />, { wrapper });
    expect(screen.getByText(/2 min/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Go there' }));
    expect(given()).toEqual(['rooms.step_in', { to: 'r1', from: 'main' }]);
  });
});
