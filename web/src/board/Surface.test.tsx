import { act, fireEvent, render, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { NewMark } from '../live/board';
import { board, mark } from '../testing/boards';
import type { BoardCommands } from './useBoardCommands';
import { Surface } from './Surface';

const STICK = { kind: 'stroke', ink: 'slate', width: 4 } as const;
const view = { view: { scale: 1, x: 0, y: 0 }, size: { width: 800, height: 500 }, fits: true };

const put = vi.fn(() => Promise.resolve({ ok: true }));
const change = vi.fn(() => Promise.resolve({ ok: true }));
const remove = vi.fn(() => Promise.resolve({ ok: true }));
const glimpse = vi.fn();
const zoom = vi.fn();
const pan = vi.fn();
const commands = { put, change, remove, glimpse, trail: vi.fn() } as unknown as BoardCommands;

type Props = Parameters<typeof Surface>[0];
const surface = (props: Partial<Props> = {}) => (
  <Surface
    title="Buoys"
    board={board(mark('m1'))}
    page="p1"
    me={{ id: 'odalys', staff: true }}
    mayDraw
    mayArrange
    propsReason={null}
    tool={{ name: 'stick', index: 0 }}
    stick={STICK}
    ink="slate"
    onTool={() => {}}
    commands={commands}
    view={{ ...view, zoom, pan, fit: vi.fn(), show: vi.fn() }}
    wanted={NOTHING}
    onFiles={() => {}}
    {...props}
  />
);
const NOTHING: string[] = [];
const paper = () => screen.getByTestId('paper');
const pen = (x: number, y: number) => ({ pointerId: 7, pointerType: 'pen', clientX: x, clientY: y, pressure: 0.5 });
const finger = (pointerId: number, x: number, y: number) => ({
  pointerId,
  pointerType: 'touch',
  clientX: x,
  clientY: y,
});
const mouse = (x: number, y: number) => ({ pointerId: 1, pointerType: 'mouse', clientX: x, clientY: y, button: 0 });
const drawn = (call = 0) => (put.mock.calls[call] as unknown as NewMark[])[0]!;

beforeEach(() => vi.clearAllMocks());

describe('drawing', () => {
  it('makes one stroke of what the pen does, though the palm lies on the page', () => {
    render(surface());
    fireEvent.pointerDown(paper(), pen(100, 100));
    fireEvent.pointerDown(paper(), finger(2, 300, 400));
    fireEvent.pointerMove(paper(), finger(2, 500, 450));
    fireEvent.pointerMove(paper(), pen(150, 120));
    fireEvent.pointerUp(paper(), finger(2, 500, 450));
    fireEvent.pointerMove(paper(), pen(200, 140));
    fireEvent.pointerUp(paper(), pen(200, 140));
    expect(put).toHaveBeenCalledTimes(1);
    expect(drawn()).toMatchObject({ kind: 'stroke', x: 100, y: 100, ink: 'slate' });
    expect(Math.max(...drawn().points!)).toBeLessThanOrEqual(100);
    expect(drawn().press).toHaveLength(drawn().points!.length / 2);
  });

  it('draws nothing with two fingers, scales the page and tells others that the ink is gone', () => {
    render(surface());
    fireEvent.pointerDown(paper(), finger(1, 100, 100));
    fireEvent.pointerMove(paper(), finger(1, 130, 100));
    expect(glimpse).toHaveBeenCalledWith('ink', expect.objectContaining({ points: expect.anything() as unknown }));
    fireEvent.pointerDown(paper(), finger(2, 200, 100));
    expect(glimpse).toHaveBeenLastCalledWith('ink', expect.objectContaining({ end: true, page: 'p1' }));
    fireEvent.pointerMove(paper(), finger(2, 270, 100));
    fireEvent.pointerUp(paper(), finger(2, 270, 100));
    fireEvent.pointerMove(paper(), finger(1, 400, 400));
    fireEvent.pointerUp(paper(), finger(1, 400, 400));
    expect(zoom).toHaveBeenCalledTimes(1);
    expect(put).not.toHaveBeenCalled();
  });

  it('ends a stroke when the right to draw goes, and draws no more without a button', () => {
    const { rerender } = render(surface());
    fireEvent.pointerDown(paper(), mouse(100, 100));
    fireEvent.pointerMove(paper(), mouse(160, 130));
    rerender(surface({ mayDraw: false, stick: null, tool: { name: 'select' } }));
    expect(put).toHaveBeenCalledTimes(1);
    expect(drawn().points!.length).toBeGreaterThan(2);
    rerender(surface());
    fireEvent.pointerMove(paper(), mouse(300, 300));
    fireEvent.pointerUp(paper(), mouse(300, 300));
    expect(put).toHaveBeenCalledTimes(1);
  });

  it('leaves a stroke on the page that it was begun on', () => {
    const { rerender } = render(surface());
    fireEvent.pointerDown(paper(), mouse(100, 100));
    fireEvent.pointerMove(paper(), mouse(160, 130));
    rerender(surface({ page: 'p2' }));
    fireEvent.pointerUp(paper(), mouse(160, 130));
    expect(put).toHaveBeenCalledTimes(1);
    expect(drawn().page).toBe('p1');
  });

  it('takes nothing off when a pinch was begun with the eraser', () => {
    document.elementFromPoint = () => document.querySelector('[data-mark=m1]');
    render(surface({ tool: { name: 'erase' }, stick: null }));
    fireEvent.pointerDown(paper(), finger(1, 20, 20));
    fireEvent.pointerDown(paper(), finger(2, 90, 90));
    fireEvent.pointerUp(paper(), finger(1, 20, 20));
    fireEvent.pointerUp(paper(), finger(2, 90, 90));
    expect(remove).not.toHaveBeenCalled();
    fireEvent.pointerDown(paper(), finger(3, 20, 20));
    fireEvent.pointerUp(paper(), finger(3, 20, 20));
    expect(remove).toHaveBeenCalledWith(['m1']);
  });

  it('keeps the wheel from the browser', () => {
    render(surface());
    const turned = new WheelEvent('wheel', { deltaY: 30, cancelable: true, bubbles: true });
    Object.defineProperty(turned, 'ctrlKey', { value: true });
    paper().dispatchEvent(turned);
    expect(turned.defaultPrevented).toBe(true);
    expect(zoom).toHaveBeenCalledTimes(1);
    const aside = new WheelEvent('wheel', { deltaX: 30, cancelable: true, bubbles: true });
    paper().dispatchEvent(aside);
    expect(aside.defaultPrevented).toBe(true);
    expect(pan).toHaveBeenCalledWith(30, 0);
  });
});

describe('writing', () => {
  const begin = () => {
    fireEvent.pointerDown(paper(), mouse(200, 200));
    fireEvent.change(screen.getByLabelText('Text'), { target: { value: 'Half a sentence' } });
  };
  const text = { tool: { name: 'text' }, stick: null } as const;

  it('puts what was typed when the page is turned, on the page where it was begun', () => {
    const { rerender } = render(surface(text));
    begin();
    rerender(surface({ ...text, page: 'p2' }));
    expect(drawn()).toMatchObject({ page: 'p1', kind: 'text', text: 'Half a sentence' });
    expect(screen.queryByLabelText('Text')).toBeNull();
  });

  it('puts what was typed when another board comes on show', () => {
    const { unmount } = render(surface(text));
    begin();
    unmount();
    expect(drawn()).toMatchObject({ page: 'p1', text: 'Half a sentence' });
    expect(put).toHaveBeenCalledTimes(1);
  });

  it('gives what was typed back when it was refused', async () => {
    put.mockResolvedValueOnce({ ok: false, code: 'rule', says: 'Not now.' } as never);
    render(surface(text));
    begin();
    await act(async () => {
      fireEvent.blur(screen.getByLabelText('Text'));
      await Promise.resolve();
    });
    expect(screen.getByLabelText<HTMLTextAreaElement>('Text').value).toBe('Half a sentence');
  });

  it('changes a text on leaving, and not when nothing was changed', () => {
    const note = mark('n1', { kind: 'note', text: 'Before', size: 30, w: 320, h: 120, points: undefined });
    const { unmount } = render(surface({ board: board(note), tool: { name: 'select' }, stick: null, wanted: ['n1'] }));
    fireEvent.doubleClick(paper());
    expect(screen.getByLabelText<HTMLTextAreaElement>('Text of the note').value).toBe('Before');
    fireEvent.change(screen.getByLabelText('Text of the note'), { target: { value: 'After' } });
    unmount();
    expect(change).toHaveBeenCalledWith([{ id: 'n1', set: { text: 'After' } }]);
  });
});

describe('by keyboard', () => {
  const three = () => board(mark('a', { z: 1 }), mark('b', { z: 2 }), mark('c', { z: 3 }));
  const select = { tool: { name: 'select' }, stick: null } as const;
  const of = (id: string) => paper().querySelector<SVGElement>(`[data-mark=${id}]`)!;
  const stops = () =>
    [...paper().querySelectorAll('[data-mark][tabindex="0"]')].map((one) => one.getAttribute('data-mark'));

  it('has one stop for all marks, and arrows walk from it', () => {
    render(surface({ ...select, board: three() }));
    expect(stops()).toEqual(['a']);
    act(() => of('a').focus());
    fireEvent.keyDown(of('a'), { key: 'ArrowRight' });
    expect(document.activeElement).toBe(of('b'));
    expect(stops()).toEqual(['b']);
    fireEvent.keyDown(of('b'), { key: 'ArrowUp' });
    fireEvent.keyDown(of('a'), { key: 'ArrowLeft' });
    expect(document.activeElement).toBe(of('c'));
  });

  it('moves what is chosen by arrows, and takes it off without losing the focus', () => {
    const { rerender } = render(surface({ ...select, board: three() }));
    act(() => of('b').focus());
    fireEvent.keyDown(of('b'), { key: 'Enter' });
    fireEvent.keyDown(of('b'), { key: 'ArrowRight' });
    expect(change).toHaveBeenCalledWith([{ id: 'b', set: { x: 18, y: 10 } }]);
    fireEvent.keyDown(of('b'), { key: 'Delete' });
    expect(remove).toHaveBeenCalledWith(['b']);
    rerender(surface({ ...select, board: board(mark('a', { z: 1 }), mark('c', { z: 3 })) }));
    expect(document.activeElement).toBe(paper());
  });

  it('comes back to the paper from a mark, and from writing, with Escape', () => {
    render(surface({ ...select, board: three() }));
    act(() => of('a').focus());
    fireEvent.keyDown(of('a'), { key: 'Escape' });
    expect(document.activeElement).toBe(paper());
  });

  it('takes what students may not change neither off nor along', () => {
    const farah = { id: 'farah', staff: false };
    render(surface({ ...select, board: three(), me: farah, mayArrange: false }));
    act(() => of('a').focus());
    fireEvent.keyDown(of('a'), { key: 'Enter' });
    fireEvent.keyDown(of('a'), { key: 'ArrowRight' });
    fireEvent.keyDown(of('a'), { key: 'Delete' });
    expect(remove.mock.calls.flat().flat()).toEqual([]);
    expect(change.mock.calls.flat().flat()).toEqual([]);
  });
});
