import { describe, expect, it } from 'vitest';
import type { Mark } from '../../api/shapes';
import type { BoardState } from '../../live/board';
import { boundsOf, heightOf, placeOf } from './boxes';
import { nextItem } from '../writing/lists';
import { outlinePath } from './outline';
import { resized, resizedTurned } from '../selection/SelectionFrame';
import { afresh, copies } from '../selection/useMarkActions';

const box = (id: string, more: Partial<Mark> = {}): Mark => ({
  id,
  page: 'p1',
  kind: 'rectangle',
  x: 100,
  y: 100,
  w: 80,
  h: 40,
  width: 3,
  ink: 'lake',
  by: 'odalys',
  at: 1,
  z: 1,
  ...more,
});

const board = (marks: Mark[], facts: BoardState['facts'] = new Map()): BoardState => ({
  pages: ['p1'],
  facts,
  marks: new Map(marks.map((mark) => [mark.id, mark])),
  authors: new Map(),
  undo: new Map(),
  top: 1,
  locked: false,
});

describe('a turned mark', () => {
  it('fills another box than it has', () => {
    const { x, y, w, h } = boundsOf(box('a', { angle: 90 }));
    expect([x, y, w, h].map(Math.round)).toEqual([120, 80, 40, 80]);
  });

  it('is turned about the middle of its box', () => {
    expect(placeOf(box('a', { angle: 30 }))).toBe('translate(100 100) rotate(30 40 20)');
    expect(placeOf(box('a'))).toBe('translate(100 100)');
  });

  it('grows about its middle, so that it stays where it lies', () => {
    const grown = resizedTurned({ x: 100, y: 100, w: 80, h: 40 }, 90, 140, 180, false);
    expect(grown.x + grown.w / 2).toBeCloseTo(140);
    expect(grown.y + grown.h / 2).toBeCloseTo(120);
    expect(grown.w).toBeCloseTo(120);
  });
});

describe('resizing', () => {
  it('keeps proportions for pictures', () => {
    expect(resized({ x: 0, y: 0, w: 100, h: 50 }, 'se', 200, 60, true)).toEqual({ x: 0, y: 0, w: 200, h: 100 });
  });

  it('holds the opposite corner', () => {
    expect(resized({ x: 0, y: 0, w: 100, h: 50 }, 'nw', 40, 20)).toEqual({ x: 40, y: 20, w: 60, h: 30 });
  });
});

describe('the height of a page', () => {
  it('follows the slide beneath', () => {
    const ground = { material: 'deck', version: 1, slide: 1, w: 960, h: 720 };
    expect(heightOf(board([], new Map([['p1', { ground }]])), 'p1')).toBe(1200);
  });

  it('grows below its lowest mark when it may', () => {
    const low = [box('low', { y: 1400, h: 60 })];
    expect(heightOf(board(low), 'p1')).toBe(1000);
    expect(heightOf(board(low, new Map([['p1', { grows: true }]])), 'p1')).toBe(1700);
  });
});

describe('lists', () => {
  const enter = (text: string) => nextItem(text, text.length, text.length)?.text;

  it('go on with the same sign or the next number', () => {
    expect(enter('- rope')).toBe('- rope\n- ');
    expect(enter('1. rope\n2. fender')).toBe('1. rope\n2. fender\n3. ');
  });

  it('end with an empty item, and leave other text alone', () => {
    expect(enter('- rope\n- ')).toBe('- rope\n');
    expect(enter('just words')).toBeUndefined();
    expect(enter('-1.5 m')).toBeUndefined();
  });

  it('split an item in the middle', () => {
    expect(nextItem('- ropefender', 6, 6)).toEqual({ text: '- rope\n- fender', caret: 9 });
  });
});

describe('copies', () => {
  it('get ids of their own, and groups among themselves', () => {
    const made = copies([box('a', { group: 'g' }), box('b', { group: 'g' }), box('c')], 'p2', 10, 20);
    expect(new Set(made.map(({ id }) => id)).size).toBe(3);
    expect(made[0]!.group).toBe(made[1]!.group);
    expect(made[0]!.group).not.toBe('g');
    expect(made[2]).toMatchObject({ page: 'p2', x: 110, y: 120 });
  });

  it('leave author, time, lock and results behind', () => {
    const mark = afresh(box('a', { locked: true, shows: { rolled: [3] } }));
    expect(Object.keys(mark)).not.toEqual(expect.arrayContaining(['by']));
    expect(mark).not.toHaveProperty('locked');
    expect(mark).not.toHaveProperty('shows');
  });
});

describe('a stroke with pressure', () => {
  const width = (press: number) => {
    const numbers = outlinePath([0, 0, 50, 0, 100, 0], [press, press, press], 10)
      .match(/-?\d+(\.\d+)?/g)!
      .map(Number);
    const ys = numbers.filter((_, i) => i % 2 === 1);
    return Math.max(...ys) - Math.min(...ys);
  };

  it('is wider where the pen was pressed', () => {
    expect(width(0.9)).toBeGreaterThan(1.5 * width(0.2));
  });
});
