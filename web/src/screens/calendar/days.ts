/** Days as their midnights where one is, in ms. Weeks begin on Monday and are numbered as ISO 8601 has it. */

const midnight = (year: number, month: number, day: number) => new Date(year, month, day).getTime();

export const dayOf = (at: number) => {
  const date = new Date(at);
  return midnight(date.getFullYear(), date.getMonth(), date.getDate());
};

/** @returns the day so many days on, also where clocks change in between */
export const daysOn = (day: number, count: number) => {
  const date = new Date(day);
  return midnight(date.getFullYear(), date.getMonth(), date.getDate() + count);
};

export const monthOf = (at: number) => {
  const date = new Date(at);
  return midnight(date.getFullYear(), date.getMonth(), 1);
};

export const monthsOn = (month: number, count: number) => {
  const date = new Date(month);
  return midnight(date.getFullYear(), date.getMonth() + count, 1);
};

const weekBegins = (day: number) => daysOn(day, -((new Date(day).getDay() + 6) % 7));

/** @returns the weeks that a month lies in, seven days each */
export function weeksOf(month: number): number[][] {
  const weeks: number[][] = [];
  for (let first = weekBegins(month); first < monthsOn(month, 1); first = daysOn(first, 7))
    weeks.push(Array.from({ length: 7 }, (_, i) => daysOn(first, i)));
  return weeks;
}

/** A day in an address, `2026-12-04`. */
export function nameOfDay(day: number): string {
  const date = new Date(day);
  return [date.getFullYear(), date.getMonth() + 1, date.getDate()].map((n) => String(n).padStart(2, '0')).join('-');
}

/** @returns the number of the week that a day is in: that of its Thursday in the year that the Thursday is in */
export function weekNumber(day: number): number {
  const thursday = new Date(daysOn(weekBegins(day), 3));
  const first = new Date(thursday.getFullYear(), 0, 1);
  return 1 + Math.floor(Math.round((thursday.getTime() - first.getTime()) / 86_400_000) / 7);
}

/** @returns the same time of day on another day */
export function atDay(at: number, day: number): number {
  const [time, date] = [new Date(at), new Date(day)];
  date.setHours(time.getHours(), time.getMinutes(), 0, 0);
  return date.getTime();
}
