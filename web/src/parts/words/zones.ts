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
