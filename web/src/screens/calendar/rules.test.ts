import { describe, expect, it } from 'vitest';
import { choiceOf, ruleOf, type Choice } from './rules';

const FRIDAY = '2026-11-06T20:30';
const choice = (more: Partial<Choice>): Choice => ({ repeat: 'weekly', days: [], times: 10, rule: '', ...more });

describe('rules of recurrence', () => {
  it('are made of what one chooses', () => {
    expect(ruleOf(choice({}), FRIDAY)).toBe('FREQ=WEEKLY;COUNT=10;BYDAY=FR');
    expect(ruleOf(choice({ days: ['TH', 'TU'], times: 3 }), FRIDAY)).toBe('FREQ=WEEKLY;COUNT=3;BYDAY=TU,TH');
    expect(ruleOf(choice({ repeat: 'fortnightly' }), FRIDAY)).toBe('FREQ=WEEKLY;INTERVAL=2;COUNT=10;BYDAY=FR');
    expect(ruleOf(choice({ repeat: 'monthly' }), FRIDAY)).toBe('FREQ=MONTHLY;COUNT=10;BYDAY=1FR');
    expect(ruleOf(choice({ repeat: 'monthly' }), '2026-10-30T20:30')).toBe('FREQ=MONTHLY;COUNT=10;BYDAY=-1FR');
    expect(ruleOf(choice({ repeat: 'own', rule: ' rrule:FREQ=DAILY;COUNT=2' }), FRIDAY)).toBe('FREQ=DAILY;COUNT=2');
  });

  it('are read back into the choice that made them, and others as one’s own', () => {
    for (const repeat of ['once', 'daily', 'weekly', 'fortnightly', 'monthly'] as const) {
      const rule = ruleOf(choice({ repeat, days: ['TU', 'FR'], times: 7 }), FRIDAY);
      expect([repeat, choiceOf(rule, FRIDAY).repeat]).toEqual([repeat, repeat]);
      expect(ruleOf(choiceOf(rule, FRIDAY), FRIDAY)).toBe(rule);
    }
    // A week's own day need not be said.
    expect(choiceOf('FREQ=WEEKLY;INTERVAL=2;COUNT=4', FRIDAY)).toMatchObject({
      repeat: 'fortnightly',
      days: ['FR'],
      times: 4,
    });
    expect(choiceOf('FREQ=WEEKLY;UNTIL=20270101', FRIDAY).repeat).toBe('own');
    expect(choiceOf('FREQ=MONTHLY;COUNT=3;BYDAY=TU,WE;BYSETPOS=2', FRIDAY)).toMatchObject({
      repeat: 'own',
      rule: 'FREQ=MONTHLY;COUNT=3;BYDAY=TU,WE;BYSETPOS=2',
    });
  });
});
