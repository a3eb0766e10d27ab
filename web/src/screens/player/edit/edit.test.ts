import { snapped } from './snapped';
import { describe, expect, it } from 'vitest';
import { joined, shifted, split } from './captionLines';
import { onTheDay } from './onTheDay';

const at = (time: string, day = 27) => new Date(`2026-11-${day}T${time}`).getTime();

describe('a time of the day of a class', () => {
  const evening = { from: at('18:30:00'), to: at('20:00:00') };
  it('is that which lies in the class', () => {
    expect(onTheDay('18:45', evening)).toBe(at('18:45:00'));
    expect(onTheDay('19:00:07', evening)).toBe(at('19:00:07'));
  });

  it('is the nearest where none does', () => {
    expect(onTheDay('20:01:00', evening)).toBe(at('20:01:00'));
    expect(onTheDay('18:29:59', evening)).toBe(at('18:29:59'));
  });

  it('goes on over midnight', () => {
    const late = { from: at('23:30:00'), to: at('01:00:00', 28) };
    expect(onTheDay('00:15', late)).toBe(at('00:15:00', 28));
    expect(onTheDay('23:45', late)).toBe(at('23:45:00'));
  });

  it('is none for what is no time', () => {
    expect(['', '7', 'noon', '18:3', '18:30:1x'].map((time) => onTheDay(time, evening))).toEqual(Array(5).fill(null));
  });
});

describe('a line of captions', () => {
  const line = { id: 'a', from: 1_000, to: 5_000, words: 'Red over white' };
  it('is moved, and never before the beginning', () => {
    expect(shifted(line, 500)).toEqual({ ...line, from: 1_500, to: 5_500 });
    expect(shifted(line, -9_000)).toEqual({ ...line, from: 0, to: 4_000 });
  });

  it('becomes one with the next', () => {
    expect(joined(line, { id: 'b', from: 4_000, to: 9_000, words: 'at night' })).toEqual({
      ...{ id: 'a', from: 1_000, to: 9_000, words: 'Red over white at night' },
    });
  });

  it('becomes two where the cursor is, in proportion, or stays one where nothing would be left of it', () => {
    const [first, second] = split(line, 8)!;
    expect([first.words, second.words]).toEqual(['Red over', 'white']);
    expect([first.id, first.from, second.to]).toEqual(['a', 1_000, 5_000]);
    expect(first.to).toBe(second.from);
    expect(second.id).not.toBe('a');
    expect([split(line, 0), split(line, 14), split({ ...line, to: 1_300 }, 8)]).toEqual([null, null, null]);
  });
});

describe('a moment that is chosen', () => {
  it('goes to where something begins or is quiet, when that is near', () => {
    expect(snapped(10_400, [9_000, 10_000, 20_000])).toBe(10_000);
    expect(snapped(15_000.4, [10_000, 20_000])).toBe(15_000);
    expect(snapped(15_000, [])).toBe(15_000);
    expect(snapped(14_000, [10_000, 20_000], 4_000)).toBe(10_000);
  });
});
