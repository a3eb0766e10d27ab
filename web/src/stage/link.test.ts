import { describe, expect, it } from 'vitest';
import { BETTER_FOR, linkOf, Measuring, Steady } from './link';

describe('how a connection stands', () => {
  it('is worse at once, and better step by step, once it lasts', () => {
    const steady = new Steady();
    expect(steady.take('poor')).toBe('poor');
    const seen = Array.from({ length: BETTER_FOR * 2 }, () => steady.take('good'));
    expect(seen.filter((link) => link === 'weak').length).toBe(BETTER_FOR);
    expect(seen.at(-1)).toBe('good');
    steady.take('weak');
    for (let i = 0; i < 20; i++) expect(steady.take(i % BETTER_FOR === BETTER_FOR - 1 ? 'weak' : 'good')).toBe('weak');
  });

  it('goes by what is lost, and by how long it takes', () => {
    expect(linkOf({ lost: 0, there: 30 })).toBe('good');
    expect(linkOf({ lost: 6, there: 30 })).toBe('weak');
    expect(linkOf({ lost: 0, there: 2_000 })).toBe('poor');
  });

  it('measures what has come since it last did', async () => {
    let row = { type: 'inbound-rtp', packetsReceived: 1_000, packetsLost: 500 };
    const connection = {
      getStats: () =>
        Promise.resolve(
          new Map<string, unknown>([
            ['a', { ...row }],
            ['b', { type: 'candidate-pair', nominated: true, currentRoundTripTime: 0.25 }],
          ]),
        ),
    } as unknown as RTCPeerConnection;
    const measuring = new Measuring();
    await measuring.take([connection]);
    row = { ...row, packetsReceived: 1_095, packetsLost: 505 };
    expect(await measuring.take([connection])).toEqual({ lost: 5, there: 250 });
    row = { ...row, packetsReceived: 3, packetsLost: 0 };
    expect(await measuring.take([connection])).toBeNull();
  });
});
