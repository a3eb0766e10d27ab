import type { StageLink } from '../api/shapes';

/** What a page measures of its connection in a while. */
export interface Measured {
  /** Of a hundred packets, those that did not arrive. */
  lost: number;
  /** ms there and back */
  there: number;
}

/** ms between two measures, and for how many of them it has to be better before more is asked for again. */
export const MEASURE_EVERY = 5_000;
export const BETTER_FOR = 3;

const ORDER: StageLink[] = ['good', 'weak', 'poor'];
const BOUNDS: Record<'weak' | 'poor', Measured> = { weak: { lost: 4, there: 500 }, poor: { lost: 12, there: 1_200 } };

/** @returns how a connection stands that measures so */
export function linkOf({ lost, there }: Measured): StageLink {
  const over = (bound: Measured) => lost > bound.lost || there > bound.there;
  return over(BOUNDS.poor) ? 'poor' : over(BOUNDS.weak) ? 'weak' : 'good';
}

/** Worse counts at once, better only once it lasts, and then by one step: more pictures make it worse again. */
export class Steady {
  link: StageLink = 'good';
  private better = 0;

  take(measured: StageLink): StageLink {
    const step = ORDER.indexOf(measured) - ORDER.indexOf(this.link);
    this.better = step < 0 ? this.better + 1 : 0;
    if (step > 0) this.link = measured;
    else if (this.better >= BETTER_FOR) {
      this.link = ORDER[ORDER.indexOf(this.link) - 1]!;
      this.better = 0;
    }
    return this.link;
  }
}

interface Sums {
  sent: number;
  lost: number;
  there: number;
}

/** What reports of several connections say in sum (W3C WebRTC statistics). */
function sums(reports: RTCStatsReport[]): Sums {
  const sum: Sums = { sent: 0, lost: 0, there: 0 };
  for (const report of reports)
    report.forEach((row: Record<string, unknown>) => {
      const number = (field: string) => (typeof row[field] === 'number' ? (row[field] as number) : 0);
      if (row.type === 'inbound-rtp') {
        sum.sent += number('packetsReceived') + number('packetsLost');
        sum.lost += number('packetsLost');
      }
      if (row.type === 'candidate-pair' && row.nominated)
        sum.there = Math.max(sum.there, number('currentRoundTripTime') * 1_000);
    });
  return sum;
}

/** Measures connections again and again; each time only what has come since. */
export class Measuring {
  private before: Sums = { sent: 0, lost: 0, there: 0 };

  /** @returns null while too little came to tell */
  async take(connections: RTCPeerConnection[]): Promise<Measured | null> {
    const now = sums(await Promise.all(connections.map((one) => one.getStats())));
    const { before } = this;
    this.before = now;
    const sent = now.sent - before.sent;
    // Connections that were made anew count from the beginning.
    if (sent < 0 || now.lost < before.lost) return null;
    return { lost: sent > 20 ? (100 * (now.lost - before.lost)) / sent : 0, there: now.there };
  }
}
