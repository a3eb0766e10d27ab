import { describe, expect, it } from 'vitest';
import { atDay, dayOf, daysOn, monthOf, weekNumber, weeksOf } from './days';

const day = (year: number, month: number, date: number) => new Date(year, month - 1, date).getTime();

describe('days of the calendar', () => {
  it('puts a month into the weeks that it lies in', () => {
    const weeks = weeksOf(day(2026, 12, 1));
    expect(weeks.map((week) => new Date(week[0]!).getDate())).toEqual([30, 7, 14, 21, 28]);
    expect(weeks.every((week) => week.length === 7)).toBe(true);
    // February 2027 begins on a Monday and has four weeks.
    expect(weeksOf(day(2027, 2, 1)).length).toBe(4);
  });

  it('numbers weeks as ISO 8601 does (its examples: 3 January 2010 is in week 53, 4 January 2010 in week 1)', () => {
    expect(weekNumber(day(2010, 1, 3))).toBe(53);
    expect(weekNumber(day(2010, 1, 4))).toBe(1);
    expect(weekNumber(day(2008, 12, 29))).toBe(1);
    expect(weeksOf(day(2026, 12, 1)).map((week) => weekNumber(week[0]!))).toEqual([49, 50, 51, 52, 53]);
  });

  it('goes on by days whose hours are not 24, and keeps the time of day', () => {
    let at = day(2026, 1, 1);
    for (let i = 0; i < 366; i += 1) at = daysOn(at, 1);
    expect(at).toBe(day(2027, 1, 2));
    expect(atDay(new Date(2026, 2, 20, 20, 30).getTime(), day(2026, 7, 3))).toBe(
      new Date(2026, 6, 3, 20, 30).getTime(),
    );
    expect([dayOf(new Date(2026, 2, 20, 20, 30).getTime()), monthOf(at)]).toEqual([day(2026, 3, 20), day(2027, 1, 1)]);
  });
});
