/** ms of a day. */
const DAY = 86_400_000;

/**
 * @param time `HH:MM`, or with seconds, by this browser's clock
 * @param within a class, ms since the epoch; it may go on over midnight
 * @returns ms since the epoch, of that time which lies in the class or nearest to it; null for what is no time
 */
export function onTheDay(time: string, { from, to }: { from: number; to: number }): number | null {
  const parts = /^(\d\d):(\d\d)(?::(\d\d))?$/.exec(time);
  if (!parts) return null;
  const [hours, minutes, seconds] = parts.slice(1).map((part) => Number(part ?? 0));
  const day = new Date(from);
  day.setHours(hours!, minutes, seconds, 0);
  const outside = (at: number) => Math.max(from - at, at - to, 0);
  return [-DAY, 0, DAY].map((days) => day.getTime() + days).toSorted((a, b) => outside(a) - outside(b))[0]!;
}
