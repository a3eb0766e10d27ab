import { describe, expect, it } from 'vitest';
import { fitted } from './boxes';
import { beginning, strokePath } from './paths';
import { resized } from '../selection/SelectionFrame';

// The same values as in spec/core/boards/geometry_spec.rb: screen and export must agree.
describe('drawing as the core does', () => {
  it('draws dots, lines, curves through every point, and sharp corners', () => {
    expect(strokePath([3, 4])).toBe('M3 4l0.01 0');
    expect(strokePath([0, 0, 5, 5])).toBe('M0 0L5 5');
    expect(strokePath([0, 0, 10, 0, 10, 10])).toBe('M0 0C0 0 10 0 10 0C10 0 10 10 10 10');
    expect(strokePath([0, 0, 10, 1, 20, 0]).match(/ (\d+ \d+)(?=C|$)/g)).toEqual([' 10 1', ' 20 0']);
  });

  it('shows the beginning of a stroke that is still being drawn', () => {
    expect(beginning([0, 0, 1, 1, 2, 2, 3, 3], 0.5)).toEqual([0, 0, 1, 1]);
    expect(beginning([0, 0, 1, 1], 0)).toEqual([0, 0]);
  });
});

describe('moving and resizing', () => {
  const stroke = {
    id: 'm',
    page: 'p1',
    kind: 'stroke' as const,
    x: 10,
    y: 10,
    ink: 'lake' as const,
    points: [0, 0, 20, 10],
    by: 'a',
    at: 0,
    z: 1,
  };

  it('moves without touching the points, and scales them when the box grows', () => {
    const box = { x: 10, y: 10, w: 20, h: 10 };
    expect(fitted(stroke, box, { ...box, x: 50 })).toEqual({ x: 50, y: 10 });
    expect(fitted(stroke, box, { x: 10, y: 10, w: 40, h: 10 })).toEqual({ x: 10, y: 10, points: [0, 0, 40, 10] });
  });

  it('never turns a box inside out', () => {
    expect(resized({ x: 0, y: 0, w: 100, h: 100 }, 'se', -50, -50)).toEqual({ x: 0, y: 0, w: 12, h: 12 });
    expect(resized({ x: 0, y: 0, w: 100, h: 100 }, 'nw', 500, 500)).toEqual({ x: 88, y: 88, w: 12, h: 12 });
  });
});
