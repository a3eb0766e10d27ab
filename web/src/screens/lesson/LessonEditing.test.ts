import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Refused } from '../../api/http';
import type { LessonFacts } from '../../api/shapes';
import { lesson, step } from '../../testing/lessons';
import { edits, LessonEditing } from './LessonEditing';

/** A server that answers when the test lets it: takes in what is sent as the real one does when nobody else is there. */
const server = vi.hoisted(() => ({
  kept: undefined as unknown as LessonFacts,
  sent: [] as Partial<LessonFacts>[],
  answers: [] as (() => void)[],
  fails: null as Error | null,
}));
vi.mock('../../api/http', async (original) => ({
  ...(await original<object>()),
  get: () => Promise.resolve(server.kept),
  patch: (_path: string, changes: Partial<LessonFacts>) => {
    server.sent.push(changes);
    return new Promise((resolve, reject) =>
      server.answers.push(() => {
        if (server.fails) return reject(server.fails);
        server.kept = { ...server.kept, ...changes, version: server.kept.version + 1 };
        resolve(server.kept);
      }),
    );
  },
}));

let editing: LessonEditing;
const titles = () => editing.lesson!.steps.map(({ title }) => title);
const answer = async () => {
  server.answers.shift()!();
  await vi.advanceTimersByTimeAsync(0);
};

beforeEach(async () => {
  vi.useFakeTimers();
  Object.assign(server, { kept: lesson(), sent: [], answers: [], fails: null });
  editing = new LessonEditing('l');
  await editing.load();
});
afterEach(() => vi.useRealTimers());

describe('LessonEditing', () => {
  it('keeps quick edits of a fresh step together', async () => {
    editing.edit(edits.add(step('three')));
    editing.edit(edits.step('three', { title: 'Fog' }));
    editing.edit(edits.step('three', { minutes: 12 }));
    expect(editing.lesson!.steps[2]).toMatchObject({ title: 'Fog', minutes: 12 });
    await answer();
    await answer();
    expect(server.kept.steps[2]).toMatchObject({ title: 'Fog', minutes: 12 });
    expect(server.sent).toHaveLength(2);
    expect(editing.unsaved).toBe(false);
  });

  it('shows what is not saved yet on top of every answer and every look', async () => {
    editing.edit(edits.step('one', { title: 'A' }));
    editing.edit(edits.step('one', { title: 'A b' }));
    await answer();
    editing.edit(edits.step('one', { title: 'A b C' }));
    expect(titles()[0]).toBe('A b C');
    await editing.load();
    expect(titles()[0]).toBe('A b C');
    await answer();
    await answer();
    expect(server.kept.steps[0]!.title).toBe('A b C');
  });

  it('passes over a look that was begun before a save and answered after it', async () => {
    const before = server.kept;
    editing.edit(edits.step('one', { title: 'Saved' }));
    await answer();
    server.kept = before;
    await editing.load();
    expect(titles()[0]).toBe('Saved');
  });

  it('lays its own edits on what somebody else has saved', async () => {
    editing.edit(edits.step('two', { notes: 'mine' }));
    server.kept = lesson({ steps: [step('one', { title: 'Theirs' }), step('two')], version: 2 });
    await editing.load();
    expect(editing.lesson!.steps).toMatchObject([{ title: 'Theirs' }, { notes: 'mine' }]);
  });

  it('waits while the server is away, and says so', async () => {
    server.fails = new Refused('offline', 'The server cannot be reached just now.', 0);
    editing.edit(edits.step('one', { title: 'Kept' }));
    await answer();
    expect(editing.error?.message).toMatch(/cannot be reached/);
    expect(titles()[0]).toBe('Kept');
    expect(editing.unsaved).toBe(true);
    server.fails = null;
    editing.edit(edits.step('two', { title: 'Too' }));
    await answer();
    editing.edit(edits.step('two', { minutes: 7 }));
    await answer();
    expect(server.kept.steps[1]!.minutes).toBe(7);
    expect(server.kept.steps.map(({ title }) => title)).toEqual(['Kept', 'Too']);
    expect(editing.error).toBeNull();
    expect(server.answers).toHaveLength(0);
  });

  it('tries again by itself', async () => {
    server.fails = new Refused('offline', 'The server cannot be reached just now.', 0);
    editing.edit(edits.step('one', { title: 'Kept' }));
    await answer();
    server.fails = null;
    await vi.advanceTimersByTimeAsync(2_000);
    await answer();
    expect(server.kept.steps[0]!.title).toBe('Kept');
  });

  it('takes back what makes no sense, with the reason, and goes on with the rest', async () => {
    server.fails = new Refused('step_untitled', 'Every step needs a title.', 422);
    editing.edit(edits.step('one', { title: ' ' }));
    editing.edit(edits.step('two', { title: 'Fine' }));
    await answer();
    expect(editing.error?.message).toBe('Every step needs a title.');
    expect(titles()).toEqual(['one', 'Fine']);
    server.fails = null;
    await answer();
    expect(server.kept.steps[1]!.title).toBe('Fine');
  });

  it('moves and removes steps as they are when the edit has its turn', () => {
    editing.edit(edits.move('two', 'one'));
    editing.edit(edits.remove('one'));
    editing.edit(edits.move('gone', 'two'));
    expect(titles()).toEqual(['two']);
  });

  it('tells conflicts until they are put away', async () => {
    const conflict = { step: 'one', field: 'title', title: 'one', mine: 'a', theirs: 'b' };
    server.kept = lesson({ conflicts: [conflict] });
    editing.edit(edits.step('one', { minutes: 9 }));
    await answer();
    expect(editing.conflicts).toEqual([conflict]);
    editing.forgetConflicts();
    expect(editing.conflicts).toEqual([]);
  });
});
