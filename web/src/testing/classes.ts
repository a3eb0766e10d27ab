import { RULES } from '../api/contracts';
import type { ClassFacts, OwnView, PlaceView, Seat, SittingView, StaffView, Timing } from '../api/shapes';

export const SITTING = 'sitting/s';
export const PLACE = 'place/s.main';
export const STAFF = 'staff/s';
export const EXCHANGE = 'exchange/s.main';

export const seat = (id: string, name: string, more: Partial<Seat> = {}): Seat => ({
  id,
  name,
  role: 'student',
  place: 'main',
  presence: 'here',
  since: 1,
  ...more,
});

export const SEATS = [
  seat('jonas', 'Jonas Whitlock'),
  seat('odalys', 'Odalys Brandt', { role: 'instructor' }),
  seat('farah', 'Farah Lindqvist'),
];

/** A class of three steps, in the second of them. */
export const sitting = (more: Partial<SittingView> = {}): SittingView => ({
  id: 's',
  title: 'Collision rules in narrow water',
  course: 'Coastal Navigation for Small Boats',
  starts_at: 0,
  minutes: 60,
  steps: [
    { id: 'names', title: 'Names', minutes: 10 },
    { id: 'crossing', title: 'Crossing', minutes: 30 },
    { id: 'sum-up', title: 'Sum up', minutes: 20 },
  ],
  boards: [{ id: 'b1', name: 'Names', first_page: 'p1' }],
  places: [
    { id: 'waiting', name: 'Waiting room' },
    { id: 'main', name: 'Main room' },
  ],
  rehearsal: false,
  status: 'open',
  opened_at: 0,
  ended_at: null,
  moves: [
    { step: 'names', at: 0 },
    { step: 'crossing', at: 600_000 },
  ],
  stretches: [],
  handed: [],
  activities: [],
  address: null,
  seats: SEATS,
  ...more,
});

export const place = (more: Partial<PlaceView> = {}): PlaceView => ({
  shown: null,
  timer: null,
  hands: [],
  floor: null,
  leader: null,
  pairs: null,
  room: null,
  call: null,
  announced: [],
  begun: false,
  oversight: false,
  reactions: true,
  signals: [],
  rules: { for_all: RULES, exceptions: [], by_step: [] },
  screen: null,
  clip: null,
  large: null,
  captions: [],
  welcome: null,
  hosts: [],
  ...more,
});

/** What concerns one person in it. */
export const own = (more: Partial<OwnView> = {}): OwnView => ({
  place: 'main',
  threads: [],
  boards: [],
  copies: [],
  pair: null,
  asked: null,
  invitation: null,
  rooms: [],
  ...more,
});

export const staff = (more: Partial<StaffView> = {}): StaffView => ({
  steps: sitting().steps.map((step) => ({ ...step, shortest: 5, board: null })),
  boards: [
    { id: 'b1', name: 'Names', audience: 'everyone', first_page: 'p1' },
    { id: 'b3', name: 'Answers', audience: 'staff', first_page: 'p4' },
  ],
  record_from: null,
  invited: [],
  cued: [],
  refused: [],
  waiting: [],
  removed: [],
  each: false,
  threads: [],
  copies: [],
  paired: null,
  activities: [],
  polls: [],
  ...more,
});

export const timing = (more: Partial<Timing> = {}): Timing => ({
  at: Date.now(),
  stretches: [
    { step: 'names', title: 'Names', planned: 600_000, spent: 600_000, state: 'past' },
    { step: 'crossing', title: 'Crossing', planned: 1_800_000, spent: 120_000, state: 'now' },
    { step: 'sum-up', title: 'Sum up', planned: 1_200_000, spent: 0, state: 'next' },
  ],
  planned_end: 3_600_000,
  projected_end: 3_600_000,
  drift: 0,
  ...more,
});

export const classFacts = (more: Partial<ClassFacts> = {}): ClassFacts => ({
  id: 's',
  title: 'Collision rules in narrow water',
  lesson: 'rules',
  course: 'navigation',
  rehearsal: false,
  recording: 'none',
  shared: false,
  private_in_transcripts: false,
  stage: true,
  ...more,
});
