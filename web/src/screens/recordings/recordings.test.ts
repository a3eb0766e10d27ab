import { describe, expect, it } from 'vitest';
import type { RecordingRow } from '../../api/shapes';
import { chosen, EVERYTHING } from './choice';
import { snippet } from './snippet';

const row = (id: string, day: number, course: string, ...taught: string[]): RecordingRow => ({
  ...{
    id,
    course,
    taught,
    title: id,
    number: 1,
    length: 1,
    shared: false,
    staff: true,
    chapters: [],
    sound: null,
    size: 0,
  },
  at: new Date(2026, 10, day, 18).getTime(),
});

describe('recordings', () => {
  const rows = [
    row('a', 20, 'Navigation', 'Odalys'),
    row('b', 23, 'Weather', 'Ruth'),
    row('c', 27, 'Weather', 'Ruth', 'Odalys'),
  ];
  const ids = (choice: Partial<typeof EVERYTHING>) => chosen(rows, { ...EVERYTHING, ...choice }).map(({ id }) => id);

  it('are all there until one chooses', () => expect(ids({})).toEqual(['a', 'b', 'c']));
  it('are those of a course, of whoever taught, and of some days, both ends among them', () => {
    expect(ids({ course: 'Weather' })).toEqual(['b', 'c']);
    expect(ids({ teacher: 'Odalys' })).toEqual(['a', 'c']);
    expect(ids({ from: '2026-11-23' })).toEqual(['b', 'c']);
    expect(ids({ to: '2026-11-23', course: 'Weather' })).toEqual(['b']);
  });
});

describe('what was found', () => {
  const marked = (words: string, sought: string) =>
    snippet(words, sought)
      .filter(([, mark]) => mark)
      .map(([text]) => text);

  it('is marked, in other forms and letters too', () => {
    expect(marked('Springs: larger range in spring', 'spring')).toEqual(['Springs', 'spring']);
    expect(marked('Is it LOW water?', '"low water"')).toEqual(['LOW', 'water']);
  });

  it('is cut down to what lies around it', () => {
    const words = `${'x '.repeat(200)}tide ${'y '.repeat(200)}`;
    const text = snippet(words, 'tide')
      .map(([part]) => part)
      .join('');
    expect(text).toContain('tide');
    expect(text.length).toBeLessThan(200);
  });

  it('is shown as it is, whatever was looked for', () => {
    for (const sought of ['(', '[a', '*', '\\', '', 'a'])
      expect(
        snippet('a (b', sought)
          .map(([part]) => part)
          .join(''),
      ).toBe('a (b');
  });
});
