/** Zones of time by their names in the IANA database. */

/** The zone of whoever looks. */
export const ownZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** A zone as one says it, `London` or `St Johns`. */
export const cityOf = (zone: string) => (zone === 'Etc/UTC' ? 'UTC' : zone.split('/').at(-1)!.replaceAll('_', ' '));

/** @returns what the clock on a wall of the zone shows at a moment, as `2026-11-06T20:30` */
export function wallIn(zone: string, at: number): string {
  const form = new Intl.DateTimeFormat('en-CA', {
    timeZone: zone,
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
  });
  const part = Object.fromEntries(form.formatToParts(at).map(({ type, value }) => [type, value]));
  return `${part.year}-${part.month}-${part.day}T${part.hour}:${part.minute}`;
}

/** @returns whether the clocks of two zones show something else at a moment */
export const differ = (one: string, other: string, at: number) => wallIn(one, at) !== wallIn(other, at);

const DAY = 24 * 60;
const minutesOfDay = (wall: string) => Number(wall.slice(11, 13)) * 60 + Number(wall.slice(14));

/**
 * @returns the moment nearest to another at which the clocks of a zone show the time of day that they show at a first one: what is put on
 * another day keeps its time there, also where clocks have changed in between
 */
export function keepingTimeIn(zone: string, first: number, other: number): number {
  const off = (minutesOfDay(wallIn(zone, first)) - minutesOfDay(wallIn(zone, other)) + DAY) % DAY;
  return other + (off > DAY / 2 ? off - DAY : off) * 60_000;
}
