import { act, fireEvent, renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { mark } from '../../testing/boards';
import { pageMenu } from '../page/pageMenu';
import type { BoardCommands } from '../useBoardCommands';
import { useHeld, useHeldKeys } from './useHeld';

vi.mock('../ledge/useSticks', async () => {
  const { STICKS } = await import('../ledge/sticks');
  return { useSticks: () => ({ sticks: STICKS, change: vi.fn() }) };
});

const commands = {
  straighten: vi.fn(),
  undo: vi.fn(),
  redo: vi.fn(),
  clear: vi.fn(),
  setGrows: vi.fn(),
  lock: vi.fn(),
  addPage: vi.fn(() => Promise.resolve('fresh')),
};
const asked = commands as unknown as BoardCommands;
beforeEach(() => vi.clearAllMocks());
const press = (key: string, more: object = {}) => act(() => void fireEvent.keyDown(document.body, { key, ...more }));

describe('what the hand holds', () => {
  const held = (mayDraw = true) => {
    const marks = new Map([
      ['a', mark('a', { by: 'farah', z: 1 })],
      ['b', mark('b', { by: 'farah', z: 3 })],
      ['c', mark('c', { by: 'odalys', z: 9 })],
      ['d', mark('d', { by: 'farah', z: 7, kind: 'line' })],
    ]);
    return renderHook(
      ({ wanted }: { wanted: string | null }) => {
        const own = useHeld(wanted);
        useHeldKeys({ held: own, mayDraw, me: 'farah', marks, commands: asked });
        return own;
      },
      { initialProps: { wanted: null as string | null } },
    );
  };

  it('is taken and put down by keys, in the ink of the stick', () => {
    const { result } = held();
    press('2');
    expect(result.current.tool).toEqual({ name: 'stick', index: 1 });
    expect(result.current.ink).toBe('brick');
    press('t');
    expect(result.current.tool.name).toBe('text');
    press('Escape');
    expect(result.current.tool.name).toBe('select');
  });

  it('straightens what one drew oneself last', () => {
    held();
    press('s');
    expect(commands.straighten).toHaveBeenCalledWith(['b']);
  });

  it('takes back as often as the keys are held', () => {
    held();
    press('z', { ctrlKey: true });
    press('z', { ctrlKey: true, repeat: true });
    press('Z', { ctrlKey: true, shiftKey: true });
    expect(commands.undo).toHaveBeenCalledTimes(2);
    expect(commands.redo).toHaveBeenCalledTimes(1);
  });

  it('is nothing to draw with for those who may not', () => {
    const { result } = held(false);
    press('2');
    press('z', { ctrlKey: true });
    expect(result.current.tool).toEqual({ name: 'stick', index: 0 });
    expect(commands.undo).not.toHaveBeenCalled();
  });

  it('goes to a mark that is sought', () => {
    const { result, rerender } = held();
    rerender({ wanted: 'c' });
    expect(result.current.tool.name).toBe('select');
    expect(result.current.chosen).toEqual(['c']);
    act(() => result.current.choose(['a', 'b']));
    expect(result.current.chosen).toEqual(['a', 'b']);
  });
});

describe('the menu of a page', () => {
  const menu = (more: object = {}) => {
    const acts = { onPanel: vi.fn(), onPage: vi.fn(), onSave: vi.fn() };
    const deps = {
      board: 'b',
      page: 'p1',
      grows: false,
      locked: { board: false, page: false },
      mayAdd: true,
      staff: true,
      mayDraw: true,
      commands: asked,
      ...acts,
      ...more,
    };
    const items = pageMenu(deps);
    return {
      ...acts,
      names: items.map(([name]) => name),
      act: (wanted: string) => items.find(([name]) => name === wanted)![1](),
    };
  };

  it('has for students what they may do', () => {
    const { names } = menu({ staff: false, mayAdd: false });
    expect(names).toEqual([
      'All pages',
      'Who drew what',
      'Save the board as PDF',
      'Save the page as SVG',
      'Save the page as PNG',
    ]);
    expect(menu({ mayDraw: false }).names).not.toContain('Clear this page');
    expect(menu({ staff: false }).names).toContain('Add a page');
  });

  it('locks the page or the board for students, and opens them again', () => {
    menu().act('Lock this page');
    menu().act('Lock the board');
    menu({ locked: { board: true, page: true } }).act('Open this page to students again');
    menu({ locked: { board: true, page: true } }).act('Open the board to students again');
    expect(commands.lock.mock.calls).toEqual([[true, 'p1'], [true], [false, 'p1'], [false]]);
  });

  it('goes to a page that was added, and to none when it was not', async () => {
    const { act: choose, onPage } = menu();
    choose('Add a page');
    await Promise.resolve();
    await Promise.resolve();
    expect(onPage).toHaveBeenCalledWith('fresh');
    commands.addPage.mockResolvedValueOnce(null as never);
    choose('Add a page');
    await Promise.resolve();
    await Promise.resolve();
    expect(onPage).toHaveBeenCalledTimes(1);
  });

  it('lets a page grow, or not any more', () => {
    menu().act('Let the page grow');
    menu({ grows: true }).act('Keep the page at its size');
    expect(commands.setGrows.mock.calls).toEqual([
      ['p1', true],
      ['p1', false],
    ]);
  });

  it('saves by address', () => {
    const { act: choose, onSave } = menu();
    choose('Save the page as PNG');
    expect(onSave).toHaveBeenCalledWith('/api/boards/b/p1.png');
  });
});
