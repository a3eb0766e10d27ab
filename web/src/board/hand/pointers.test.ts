import { describe, expect, it } from 'vitest';
import { Pointers } from './pointers';

const finger = (pointerId: number, clientX = 0, clientY = 0) => ({ pointerId, pointerType: 'touch', clientX, clientY });
const pen = { pointerId: 50, pointerType: 'pen', clientX: 0, clientY: 0 };
const mouse = { pointerId: 1, pointerType: 'mouse', clientX: 0, clientY: 0 };

describe('Pointers', () => {
  it('lets a palm do nothing while a pen writes, and shortly after', () => {
    const pointers = new Pointers();
    expect(pointers.down(pen, 0)).toBe('acts');
    expect(pointers.down(finger(2), 10)).toBe('is nothing');
    expect(pointers.moves(finger(2), 20)).toBe(false);
    expect(pointers.moves(pen, 30)).toBe(true);
    expect(pointers.up(finger(2))).toBe(false);
    expect(pointers.up(pen)).toBe(true);
    expect(pointers.down(finger(3), 300)).toBe('is nothing');
    expect(pointers.down(finger(4), 2_000)).toBe('acts');
  });

  it('lets a pen take over from the palm that came first', () => {
    const pointers = new Pointers();
    pointers.down(finger(2), 0);
    expect(pointers.down(pen, 10)).toBe('takes over');
    expect(pointers.moves(finger(2), 20)).toBe(false);
    expect(pointers.moves(pen, 20)).toBe(true);
  });

  it('makes a pinch of two fingers, until both are up', () => {
    const pointers = new Pointers();
    expect(pointers.down(finger(2, 100, 100), 0)).toBe('acts');
    expect(pointers.down(finger(3, 200, 100), 50)).toBe('pinches');
    expect(pointers.moves(finger(2), 60)).toBe(false);
    expect(pointers.pinch(finger(3, 300, 100))).toEqual({ dx: -50, dy: 0, factor: 2, x: 200, y: 100 });
    expect(pointers.up(finger(3))).toBe(false);
    expect(pointers.moves(finger(2, 120, 120), 90)).toBe(false);
    expect(pointers.pinch(finger(2, 130, 120))).toBeNull();
    expect(pointers.up(finger(2))).toBe(false);
    expect(pointers.down(finger(4), 100)).toBe('acts');
  });

  it('knows a mouse that passes over from a finger that does nothing', () => {
    const pointers = new Pointers();
    expect(pointers.moves(mouse, 0)).toBe(true);
    expect(pointers.moves(finger(2), 0)).toBe(false);
    expect(pointers.down(mouse, 0)).toBe('acts');
    expect(pointers.moves({ ...mouse, pointerId: 9 }, 0)).toBe(false);
  });
});
