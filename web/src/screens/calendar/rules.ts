/** Rules of recurrence (RFC 5545) as a page lets one choose them. */

export const DAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'] as const;
export const DAY_NAMES = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
export type Day = (typeof DAYS)[number];

export const REPEATS = {
  once: 'Once',
  weekly: 'Every week',
  fortnightly: 'Every other week',
  monthly: 'Every month, on that day of the week',
  daily: 'Every day',
  own: 'By a rule of one’s own',
};
export type Repeat = keyof typeof REPEATS;

export interface Choice {
  repeat: Repeat;
  /** Of the week, for every week and every other. */
  days: Day[];
  times: number;
  /** As RFC 5545 writes it, for a rule of one's own. */
  rule: string;
}

/** @param wall time on a wall, `2026-11-06T20:30` */
export const dayOfWall = (wall: string): Day => DAYS[(new Date(`${wall}Z`).getUTCDay() + 6) % 7]!;

/** @returns which of its kind in the month a day is, the fifth as the last */
function nthOf(wall: string): number {
  const nth = Math.ceil(Number(wall.slice(8, 10)) / 7);
  return nth > 4 ? -1 : nth;
}

/** @returns the rule that is chosen, for lessons that begin at a time on a wall */
export function ruleOf({ repeat, days, times, rule }: Choice, wall: string): string {
  const count = `COUNT=${times}`;
  const on = `BYDAY=${DAYS.filter((day) => days.includes(day)).join(',') || dayOfWall(wall)}`;
  switch (repeat) {
    case 'once':
      return 'FREQ=DAILY;COUNT=1';
    case 'daily':
      return `FREQ=DAILY;${count}`;
    case 'weekly':
      return `FREQ=WEEKLY;${count};${on}`;
    case 'fortnightly':
      return `FREQ=WEEKLY;INTERVAL=2;${count};${on}`;
    case 'monthly':
      return `FREQ=MONTHLY;${count};BYDAY=${nthOf(wall)}${dayOfWall(wall)}`;
    case 'own':
      return rule.trim().replace(/^RRULE:/i, '');
  }
}

/** @returns the choice that makes a rule for lessons from a time on a wall on; one of one's own where no other does */
export function choiceOf(rule: string, wall: string): Choice {
  const times = Number(/COUNT=(\d+)/.exec(rule)?.[1] ?? 10);
  const days = (/BYDAY=([A-Z,]+)/.exec(rule)?.[1]?.split(',') ?? [dayOfWall(wall)]).filter(isDay);
  const choices = (Object.keys(REPEATS) as Repeat[]).map((repeat) => ({ repeat, days, times, rule }));
  const said = /FREQ=WEEKLY/.test(rule) && !/BYDAY=/.test(rule) ? `${rule};BYDAY=${dayOfWall(wall)}` : rule;
  return choices.find((choice) => same(ruleOf(choice, wall), said)) ?? choices.at(-1)!;
}

const isDay = (text: string): text is Day => (DAYS as readonly string[]).includes(text);

/** Two rules that say the same in another order. */
const same = (one: string, other: string) => parts(one) === parts(other);
const parts = (rule: string) => rule.toUpperCase().split(';').sort().join(';');
