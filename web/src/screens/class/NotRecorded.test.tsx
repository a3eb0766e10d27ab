import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import type { SittingView } from '../../api/shapes';
import { sitting, staff } from '../../testing/classes';
import { connection, ODALYS } from '../../testing/live';
import { NotRecorded } from './NotRecorded';

const STEPS = ['one', 'two'].map((id) => ({ id, title: id, minutes: 5 }));
const begun = (ago: number, more: Partial<SittingView> = {}) =>
  sitting({ status: 'open', steps: STEPS, moves: [{ step: 'one', at: Date.now() - ago }], ...more });

function asked(state: SittingView, from: string | null = null) {
  const given = connection({ you: ODALYS, streams: { 'staff/s': staff({ record_from: from }) } });
  render(<NotRecorded sitting={state} />, { wrapper: given.wrapper });
  return given;
}
const there = () => screen.queryByText('Nothing of this class is recorded so far.') !== null;

afterEach(cleanup);

describe('a class that nobody records', () => {
  it('is asked about after two minutes of teaching, and begun by a button', () => {
    const given = asked(begun(130_000));
    fireEvent.click(screen.getByRole('button', { name: 'Record from now on' }));
    expect(given.asked()).toEqual([['class.record', { on: true }]]);
  });

  it('is asked about once', () => {
    asked(begun(130_000));
    fireEvent.click(screen.getByRole('button', { name: 'Leave it so' }));
    expect(there()).toBe(false);
  });

  it.each<[string, SittingView, string | null]>([
    ['too early', begun(100_000), null],
    ['begun already, and stopped', begun(900_000, { stretches: [{ from: 1, to: 2 }] }), null],
    ['begins by itself with a later step', begun(900_000), 'two'],
    ['a rehearsal', begun(900_000, { rehearsal: true }), null],
    ['over', begun(900_000, { status: 'ended' }), null],
  ])('is not asked about: %s', (_, state, from) => {
    asked(state, from);
    expect(there()).toBe(false);
  });

  it('is asked about where the step with which it should have begun was passed', () => {
    asked(begun(900_000, { moves: [{ step: 'two', at: Date.now() - 900_000 }] }), 'one');
    expect(there()).toBe(true);
  });
});
