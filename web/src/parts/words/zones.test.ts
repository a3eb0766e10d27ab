import { describe, expect, it } from 'vitest';
import { cityOf, differ, keepingTimeIn, wallIn } from './zones';

describe('zones of time', () => {
  it('are called by their city, and show a wall of their own', () => {
    expect([cityOf('Europe/London'), cityOf('America/St_Johns'), cityOf('Etc/UTC')]).toEqual([
      'London',
      'St Johns',
      'UTC',
    ]);
    const at = Date.UTC(2026, 6, 1, 23, 30);
    expect(wallIn('Europe/London', at)).toBe('2026-07-02T00:30');
    expect(wallIn('America/New_York', at)).toBe('2026-07-01T19:30');
    expect([differ('Europe/London', 'Europe/Lisbon', at), differ('Europe/London', 'Etc/UTC', at)]).toEqual([
      false,
      true,
    ]);
  });

  // In New York clocks are put on on 8 March 2026, in London on 29 March.
  it('keep the time of day of what is put on another day', () => {
    const friday = Date.UTC(2026, 2, 6, 18);
    const week = 7 * 86_400_000;
    expect(keepingTimeIn('America/New_York', friday, friday + week)).toBe(Date.UTC(2026, 2, 13, 17));
    expect(keepingTimeIn('Europe/London', friday, friday + week)).toBe(friday + week);
    // Late in the evening there it is another day already where one is.
    const late = Date.UTC(2026, 2, 7, 4, 30);
    expect(keepingTimeIn('America/New_York', late, late + week)).toBe(Date.UTC(2026, 2, 14, 3, 30));
  });
});
