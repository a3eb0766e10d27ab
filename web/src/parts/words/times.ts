/** Times as people read them. All input is ms. */

const two = (n: number) => String(n).padStart(2, '0');

/** Time of day, `18:30`, with seconds when asked. */
export function clockTime(at: number, seconds = false): string {
  const date = new Date(at);
  return `${two(date.getHours())}:${two(date.getMinutes())}${seconds ? `:${two(date.getSeconds())}` : ''}`;
}

/** A length, `43:10` or `1:26:40`. */
export function duration(ms: number): string {
  const seconds = Math.max(Math.floor(ms / 1000), 0);
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}

/** A day, `Monday 23 November`, or `Mon 23 Nov` in short. */
export function day(at: number, form: 'long' | 'short' = 'long'): string {
  const part = (options: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat('en-GB', options).format(at);
  return `${part({ weekday: form })} ${part({ day: 'numeric' })} ${part({ month: form })}`;
}

/** The same time of day a week on, also when the clocks change in between. */
export function aWeekLater(at: number): number {
  const date = new Date(at);
  date.setDate(date.getDate() + 7);
  return date.getTime();
}

export const sameDay = (one: number, other: number) => new Date(one).toDateString() === new Date(other).toDateString();

/** How a class goes against its plan, in words: `ends 19:02, 2 min over`. */
export function drift(projectedEnd: number, ms: number): string {
  const minutes = Math.round(Math.abs(ms) / 60_000);
  const how = minutes === 0 ? 'on time' : ms > 0 ? `${minutes} min over` : `${minutes} min early`;
  return `ends ${clockTime(projectedEnd)}, ${how}`;
}

/** `in 14 minutes`, `in 3 hours`. */
export function until(ms: number): string {
  const minutes = Math.round(ms / 60_000);
  if (minutes < 1) return 'now';
  if (minutes < 90) return `in ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}`;
  return `in ${Math.round(minutes / 60)} hours`;
}

/** How far into a step, and of how much: `4 of 10 min`. */
export const minutesOf = (stretch: { spent: number; planned: number }, age: number) =>
  `${Math.floor((stretch.spent + age) / 60_000)} of ${Math.round(stretch.planned / 60_000)} min`;

export const count = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`;

/** What is left on a timer, whole seconds rounded up: `1:30`. */
export const minutesAndSeconds = (ms: number) => duration(Math.ceil(ms / 1000) * 1000);
