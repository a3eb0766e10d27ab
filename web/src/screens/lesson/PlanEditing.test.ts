import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Incoming, PlanView } from '../../api/shapes';
import { LiveClient } from '../../live/LiveClient';
import { FakeSocket } from '../../testing/FakeSocket';
import { lesson, step } from '../../testing/lessons';
import { edits, moveTo } from './planEdits';
import { PlanEditing } from './PlanEditing';

const PLAN = 'plan/l';
const view = (more: Partial<PlanView> = {}): PlanView => ({
  course_id: 'nav',
  number: 3,
  title: 'Rules',
  starts_at: 0,
  minutes: 60,
  record_from: null,
  cancelled: false,
  held: false,
  series: null,
  slot: null,
  welcome: '',
  welcome_ink: null,
  welcome_picture: null,
  invited_only: false,
  steps: [step('one'), step('two'), step('three')],
  ...more,
});

let socket: FakeSocket;
let client: LiveClient;
let editing: PlanEditing;
let head: number;
const ids = () => editing.plan!.steps.map(({ id }) => id);
const one = (id: string) => editing.plan!.steps.find((each) => each.id === id)!;
const sent = () => socket.said.filter(({ t }) => t === 'do') as unknown as { id: string; do: string; with: unknown }[];
const later = () => vi.advanceTimersByTimeAsync(0);

const tell = (kind: string, body: unknown, cmd?: string) =>
  socket.tell({ t: 'entry', stream: PLAN, seq: ++head, at: 0, by: 'tomas', kind, body, cmd } as unknown as Incoming);
/** The server does what was asked last but so many, as it would while nobody else is there. */
const accept = async (kind: string, body: unknown, last = 1) => {
  tell(kind, body, sent().at(-last)!.id);
  await later();
};

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('WebSocket', FakeSocket);
  client = new LiveClient(
    { lesson: 'l' },
    () => (socket = new FakeSocket()) as unknown as WebSocket,
    () => Promise.resolve(true),
    (act) => act,
  );
  socket.onopen();
  head = 1;
  const you = { id: 'odalys', name: 'Odalys', role: 'instructor' as const, staff: true };
  socket.tell({ t: 'welcome', v: 1, you, rights: {}, streams: [{ stream: PLAN, head, view: view() }] });
  editing = new PlanEditing(client, lesson());
});
afterEach(() => {
  client.close();
  vi.useRealTimers();
});

describe('the plan of a lesson', () => {
  it('shows at once what one does, and says what was seen of it', async () => {
    void editing.edit([edits.step('one', { title: 'Fog' })]);
    expect(one('one').title).toBe('Fog');
    expect(editing.unsaved).toBe(true);
    expect(sent().at(-1)).toMatchObject({ do: 'plan.set_step', with: { step: 'one', seen: 1, set: { title: 'Fog' } } });
    await accept('step_set', { id: 'one', set: { title: 'Fog' } });
    expect(editing.unsaved).toBe(false);
    expect(editing.conflicts).toEqual([]);
  });

  it('lays one’s own on what others do meanwhile', async () => {
    void editing.edit([edits.step('two', { notes: 'mine' })]);
    tell('step_set', { id: 'one', set: { title: 'Theirs' } });
    tell('step_moved', { id: 'three', after: null });
    await later();
    expect(ids()).toEqual(['three', 'one', 'two']);
    expect([one('one').title, one('two').notes]).toEqual(['Theirs', 'mine']);
  });

  it('tells what somebody else had changed too, until that is put away', async () => {
    void editing.edit([edits.step('one', { title: 'Mine', minutes: 12 })], 1);
    tell('step_set', { id: 'one', set: { title: 'Theirs' } });
    await accept('step_set', { id: 'one', set: { minutes: 12 } });
    expect(editing.conflicts).toEqual([{ step: 'one', field: 'title', title: 'Theirs', mine: 'Mine' }]);
    expect(one('one')).toMatchObject({ title: 'Theirs', minutes: 12 });
    editing.forgetConflicts();
    expect(editing.conflicts).toEqual([]);
  });

  it('keeps what one wrote into a step that somebody else took out, to be copied', async () => {
    void editing.edit([edits.step('two', { notes: 'Half an hour of work' })]);
    tell('step_taken', { id: 'two' });
    socket.tell({
      t: 'refused',
      id: sent().at(-1)!.id,
      code: 'no_such_step',
      says: 'That step was taken out meanwhile.',
    });
    await later();
    expect(editing.conflicts).toEqual([{ step: 'two', field: 'notes', title: 'two', mine: 'Half an hour of work' }]);
    expect(editing.canUndo).toBe(false);
  });

  it('sees no conflict in what one went on to write oneself', async () => {
    void editing.edit([edits.step('one', { title: 'A' })]);
    void editing.edit([edits.step('one', { title: 'A b' })]);
    await accept('step_set', { id: 'one', set: { title: 'A' } }, 2);
    await accept('step_set', { id: 'one', set: { title: 'A b' } });
    expect(editing.conflicts).toEqual([]);
    expect(one('one').title).toBe('A b');
  });

  it('loses nothing else when one thing is refused', async () => {
    void editing.edit([edits.step('one', { title: ' ' })]);
    void editing.edit([edits.step('two', { title: 'Fine' })]);
    socket.tell({ t: 'refused', id: sent().at(-2)!.id, code: 'step_untitled', says: 'Every step needs a title.' });
    await accept('step_set', { id: 'two', set: { title: 'Fine' } });
    expect([one('one').title, one('two').title]).toEqual(['one', 'Fine']);
    expect(client.connection.trouble?.says).toBe('Every step needs a title.');
    // There is nothing to take back of what was not done.
    void editing.undo();
    await accept('step_set', { id: 'two', set: { title: 'two' } });
    expect(editing.canUndo).toBe(false);
  });

  it('keeps what is done while the connection is away, and sends it then', async () => {
    socket.onclose();
    void editing.edit([edits.add(step('four'), 'three')]);
    void editing.edit([edits.step('four', { title: 'Night' })]);
    expect(one('four').title).toBe('Night');
    await vi.advanceTimersByTimeAsync(10_000);
    socket.onopen();
    socket.tell({
      t: 'welcome',
      v: 1,
      you: client.connection.you!,
      rights: {},
      streams: [{ stream: PLAN, head, entries: [] }],
    });
    expect(sent().map((each) => each.do)).toEqual(['plan.add_step', 'plan.set_step']);
  });

  it('loses nothing of what is done before the live connection has told of the plan', async () => {
    client.close();
    client = new LiveClient(
      { lesson: 'l' },
      () => (socket = new FakeSocket()) as unknown as WebSocket,
      () => Promise.resolve(true),
      (act) => act,
    );
    editing = new PlanEditing(client, lesson({ version: 7 }));
    void editing.edit([edits.step('one', { title: 'Early' })]);
    expect([one('one').title, editing.unsaved]).toEqual(['Early', true]);
    socket.onopen();
    const you = { id: 'odalys', name: 'Odalys', role: 'instructor' as const, staff: true };
    socket.tell({ t: 'welcome', v: 1, you, rights: {}, streams: [{ stream: PLAN, head: (head = 9), view: view() }] });
    expect(sent().at(-1)).toMatchObject({ with: { seen: 7, set: { title: 'Early' } } });
    await accept('step_set', { id: 'one', set: { title: 'Early' } });
    expect([one('one').title, editing.unsaved]).toEqual(['Early', false]);
  });

  it('moves a step to where another one is', () => {
    const places = (id: string, onto: string) => (moveTo(view(), id, onto).input as { after: string | null }).after;
    expect([places('three', 'one'), places('one', 'three'), places('two', 'one'), places('one', 'two')]).toEqual([
      null,
      'three',
      null,
      'two',
    ]);
  });

  it.each<[string, () => Parameters<PlanEditing['edit']>[0], string, unknown, string, unknown]>([
    [
      'a field',
      () => [edits.step('one', { minutes: 7 })],
      'step_set',
      { id: 'one', set: { minutes: 7 } },
      'step_set',
      { id: 'one', set: { minutes: 10 } },
    ],
    ['the lesson', () => [edits.set({ title: 'Fog' })], 'plan_set', { title: 'Fog' }, 'plan_set', { title: 'Rules' }],
    [
      'a new step',
      () => [edits.add(step('four'), 'one')],
      'step_added',
      { step: step('four'), after: 'one' },
      'step_taken',
      { id: 'four' },
    ],
    [
      'a step that went',
      () => [edits.remove('two')],
      'step_taken',
      { id: 'two' },
      'step_added',
      { step: step('two'), after: 'one' },
    ],
    [
      'an order',
      () => [edits.move('three', null)],
      'step_moved',
      { id: 'three', after: null },
      'step_moved',
      { id: 'three', after: 'two' },
    ],
  ])('takes back %s, and does it again', async (_, make, kind, body, back, backBody) => {
    const before = editing.plan;
    void editing.edit(make());
    await accept(kind, body);
    const after = editing.plan;
    expect(after).not.toEqual(before);
    void editing.undo();
    expect(editing.plan).toEqual(before);
    await accept(back, backBody);
    expect([editing.plan, editing.canUndo, editing.canRedo]).toEqual([before, false, true]);
    void editing.redo();
    expect(editing.plan).toEqual(after);
  });

  it('takes several back together, and says what it had seen when they were done', async () => {
    void editing.edit([edits.step('one', { minutes: 8 }), edits.step('two', { minutes: 6 })]);
    await accept('step_set', { id: 'one', set: { minutes: 8 } }, 2);
    await accept('step_set', { id: 'two', set: { minutes: 6 } });
    tell('step_set', { id: 'one', set: { minutes: 30 } });
    void editing.undo();
    expect(sent().slice(-2)).toMatchObject([
      { with: { step: 'two', seen: 3, set: { minutes: 10 } } },
      { with: { step: 'one', seen: 3, set: { minutes: 10 } } },
    ]);
  });
});
