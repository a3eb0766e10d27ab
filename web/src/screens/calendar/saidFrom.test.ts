import { describe, expect, it } from 'vitest';
import type { SeriesFacts } from '../../api/shapes';
import { saidFrom } from './saidFrom';

const part = { zone: 'Europe/London', minutes: 90, words: '' };
/** Four Fridays without the second, of which the fourth became two Saturdays at ten. */
const series: SeriesFacts = {
  id: 's',
  title: 'Evening',
  sheet: null,
  parts: [
    { ...part, start: '2026-10-16T20:30', rule: 'FREQ=WEEKLY;COUNT=4', except: ['2026-10-23T20:30'], from: null },
    { ...part, start: '2026-11-07T10:00', rule: 'FREQ=WEEKLY;COUNT=2', except: [], from: '2026-11-06T20:30' },
  ],
  slots: ['2026-10-16T20:30', '2026-10-30T20:30', '2026-11-07T10:00', '2026-11-14T10:00'],
};

describe('what is said of a series from one of its lessons on', () => {
  it('is the rule that this one is by, for as many as are left, with those that are left out', () => {
    const whole = saidFrom(
      { ...series, parts: [series.parts[0]!], slots: series.slots.slice(0, 2) },
      '2026-10-16T20:30',
    );
    expect([whole.choice.times, whole.except]).toEqual([3, ['2026-10-23T20:30']]);
    const second = saidFrom(series, '2026-10-30T20:30');
    expect([second.part.start, second.choice.times, second.except]).toEqual(['2026-10-16T20:30', 3, []]);
    const later = saidFrom(series, '2026-11-14T10:00');
    expect([later.part.start, later.choice.repeat, later.choice.days, later.choice.times]).toEqual([
      '2026-11-07T10:00',
      'weekly',
      ['SA'],
      1,
    ]);
  });

  it('is of all from the beginning, and never of none', () => {
    expect(saidFrom(series, null)).toMatchObject({ start: '2026-10-16T20:30', choice: { times: 5 } });
    expect(saidFrom(series, '2027-01-01T20:30').choice.times).toBe(1);
  });
});
