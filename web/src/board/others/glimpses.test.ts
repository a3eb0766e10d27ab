import { describe, expect, it } from 'vitest';
import type { Glimpse } from '../../api/shapes';
import { fade, NO_GLIMPSES, settle, take } from './glimpses';

const piece = (id: string, from: number, points: number[]): Glimpse => ({
  by: 'farah',
  kind: 'ink',
  body: { id, page: 'p1', kind: 'stroke', ink: 'lake', x: 5, y: 5, width: 4, from, points },
});
const drawn = take(NO_GLIMPSES, [piece('s1', 0, [0, 0, 4, 4])], 1_000);

describe('what others do this moment', () => {
  it('joins the pieces of a stroke', () => {
    expect(take(drawn, [piece('s1', 2, [4, 4, 9, 9])], 1_040).ink.get('farah')!.points).toEqual([0, 0, 4, 4, 9, 9]);
  });

  it('keeps nothing of a stroke once it is a mark, also when that is erased later', () => {
    const dried = settle(drawn, (id) => id === 's1');
    expect(dried.ink.size).toBe(0);
    expect(settle(dried, () => false).ink.size).toBe(0);
  });

  it('does not draw a piece that comes after its mark', () => {
    const late = take(
      settle(drawn, () => true),
      [piece('s1', 2, [4, 4, 9, 9])],
      1_080,
    );
    expect(late.ink.size).toBe(0);
    expect(take(late, [piece('s2', 0, [0, 0, 1, 1])], 1_090).ink.get('farah')!.id).toBe('s2');
  });

  it('lets go of a stroke that was given up', () => {
    const end: Glimpse = { by: 'farah', kind: 'ink', body: { id: 's1', page: 'p1', end: true } };
    expect(take(drawn, [end], 1_100).ink.size).toBe(0);
    expect(take(drawn, [end, piece('s1', 0, [0, 0])], 1_100).ink.size).toBe(0);
  });

  it('lets go of what nothing is heard of, pointers sooner', () => {
    const both = take(drawn, [{ by: 'jonas', kind: 'pointer', body: { page: 'p1', x: 1, y: 2 } }], 1_000);
    expect(fade(both, 2_000)).toBe(both);
    expect(fade(both, 3_000).pointers.size).toBe(0);
    expect(fade(both, 3_000).ink.size).toBe(1);
    expect(fade(both, 20_000).ink.size).toBe(0);
  });
});
