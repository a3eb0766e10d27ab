import { createEvent, fireEvent, render, renderHook, screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi, type Mock } from 'vitest';
import type { Mark } from '../api/shapes';
import { board, mark } from '../testing/boards';
import { Ledge, type LedgeActs } from './ledge/Ledge';
import { STICKS } from './ledge/sticks';
import { PageStrip } from './page/PageStrip';
import { useMarksByPage } from './page/useMarksByPage';
import { WhoDidWhat } from './panels/WhoDidWhat';
import { PropControls } from './props/PropControls';
import { MarkTools } from './selection/MarkTools';
import { SelectionBar } from './selection/SelectionBar';
import { useClipboard } from './selection/useClipboard';
import { useMarkActions } from './selection/useMarkActions';
import { useSelection } from './selection/useSelection';
import type { BoardCommands } from './useBoardCommands';

const roomy = (is: boolean) =>
  vi.stubGlobal('matchMedia', () => ({ matches: is, addEventListener: () => {}, removeEventListener: () => {} }));
const commands = {
  put: vi.fn(),
  change: vi.fn(),
  remove: vi.fn(),
  arrange: vi.fn(),
  straighten: vi.fn(),
};
beforeEach(() => {
  vi.clearAllMocks();
  roomy(true);
});
const button = (name: string | RegExp) => screen.getByRole('button', { name });

describe('the ledge', () => {
  const acts = Object.fromEntries(
    ['onTool', 'onStick', 'onProp', 'onShelf', 'onUndo', 'onRedo', 'onPage', 'onZoom', 'onFit', 'onMore'].map(
      (name) => [name, vi.fn()],
    ),
  ) as unknown as { [Name in keyof LedgeActs]: Mock<LedgeActs[Name]> };
  const ledge = (more: object = {}) => (
    <Ledge
      acts={acts}
      tool={{ name: 'stick', index: 0 }}
      sticks={STICKS}
      mayDraw
      reason={null}
      mayProp
      hasShelf
      done={1}
      undone={0}
      number={2}
      count={3}
      fits
      more={'All pages\nWho drew what'}
      {...more}
    />
  );

  it('takes a stick, and makes the one in hand another', () => {
    render(ledge());
    fireEvent.click(button('Brick pen, 2'));
    expect(acts.onTool).toHaveBeenCalledWith({ name: 'stick', index: 1 });
    fireEvent.click(button('Slate pen, 1'));
    fireEvent.click(button('Highlighter'));
    expect(acts.onStick).toHaveBeenCalledWith(0, expect.objectContaining({ kind: 'highlight' }));
  });

  it('turns pages as far as there are pages', () => {
    const { rerender } = render(ledge());
    fireEvent.click(button('Next page'));
    fireEvent.click(button('Previous page'));
    expect(acts.onPage.mock.calls).toEqual([[3], [1]]);
    rerender(ledge({ number: 3 }));
    expect(button('Next page')).toHaveProperty('disabled', true);
  });

  it('says why one may not draw, in place of what does nothing', () => {
    render(
      ledge({
        mayDraw: false,
        reason: 'Students may not draw on this board just now.',
        mayProp: false,
        hasShelf: false,
      }),
    );
    expect(screen.getByRole('status').textContent).toBe('Students may not draw on this board just now.');
    expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
    expect(screen.queryByRole('button', { name: /pen/ })).toBeNull();
    expect(button('Next page')).toBeTruthy();
  });

  it('offers redo only when there is something, and undo only then', () => {
    const { rerender } = render(ledge({ done: 0 }));
    expect(button('Undo')).toHaveProperty('disabled', true);
    expect(screen.queryByRole('button', { name: 'Redo' })).toBeNull();
    rerender(ledge({ undone: 2 }));
    fireEvent.click(button('Redo'));
    expect(acts.onRedo).toHaveBeenCalled();
  });

  it('has every tool in one word where there is little room', () => {
    roomy(false);
    render(ledge());
    expect(screen.queryByRole('button', { name: 'Text' })).toBeNull();
    fireEvent.click(button('What the hand holds: Tools'));
    for (const name of ['Select', 'Text', 'Note', 'Erase', 'Point', 'Rectangle', 'Polygon', 'Tick'])
      expect(screen.getByRole('menuitem', { name })).toBeTruthy();
    fireEvent.click(screen.getByRole('menuitem', { name: 'Ellipse' }));
    expect(acts.onTool).toHaveBeenCalledWith({ name: 'shape', shape: 'ellipse' });
  });

  it('does further things with a page', () => {
    render(ledge());
    fireEvent.click(button('What to do with this page: Page'));
    fireEvent.click(screen.getByRole('menuitem', { name: 'Who drew what' }));
    expect(acts.onMore).toHaveBeenCalledWith(1);
  });
});

describe('what is chosen', () => {
  const marks = [
    mark('a', { kind: 'text', text: 'Zeno', size: 32, w: 200, points: undefined }),
    mark('b', { kind: 'text', text: 'Anton', size: 32, w: 200, points: undefined, x: 300, by: 'farah' }),
  ];
  const hold = (all: Mark[], chosen: string[], mayMove = true) => {
    const { result } = renderHook(() => {
      const selection = useSelection(all, () => mayMove);
      const actions = useMarkActions(selection, commands as unknown as BoardCommands, () => mayMove);
      return { selection, actions, rewrite: vi.fn() };
    });
    return { result, choose: () => result.current.selection.select(chosen) };
  };
  const chosen = async (all: Mark[], ids: string[], mayMove = true) => {
    const { result, choose } = hold(all, ids, mayMove);
    const { act } = await import('@testing-library/react');
    act(choose);
    return result.current;
  };
  const view = { scale: 1, x: 0, y: 0 };
  const whose = { staff: false, me: 'odalys', authors: new Map([['farah', 'Farah Lindqvist']]) };

  it('is sorted, recoloured and taken off', async () => {
    render(<SelectionBar {...await chosen(marks, ['a', 'b'])} {...whose} view={view} width={800} />);
    fireEvent.click(button('Sort A–Z'));
    expect(commands.arrange).toHaveBeenCalledWith(['a', 'b'], 'sort_column');
    fireEvent.click(within(screen.getByRole('toolbar')).getByRole('button', { name: /moss/i }));
    expect(commands.change).toHaveBeenCalledWith([
      { id: 'a', set: { ink: 'moss' } },
      { id: 'b', set: { ink: 'moss' } },
    ]);
    fireEvent.click(button('Take off'));
    expect(commands.remove).toHaveBeenCalledWith(['a', 'b']);
  });

  it('offers nothing that would be refused', async () => {
    const { container } = render(
      <SelectionBar {...await chosen(marks, ['a'], false)} {...whose} view={view} width={800} />,
    );
    expect(container.textContent).toBe('');
    render(<MarkTools {...await chosen(marks, ['a'], false)} {...whose} />);
    expect(screen.queryByRole('button', { name: 'Take off' })).toBeNull();
    expect(screen.getByTestId('mark-tools').textContent).toContain('Text chosen');
  });

  it('keeps lines where they end when letters grow', async () => {
    render(<MarkTools {...await chosen(marks, ['a'])} {...whose} staff />);
    fireEvent.click(button('Large'));
    expect(commands.change).toHaveBeenCalledWith([{ id: 'a', set: { size: 72, w: 450 } }]);
    fireEvent.click(screen.getByLabelText('Lock for students'));
    expect(commands.change).toHaveBeenLastCalledWith([{ id: 'a', set: { locked: true } }]);
  });

  it('is copied whole, with groups of its own, however much it is', async () => {
    const many = Array.from({ length: 450 }, (_, i) => mark(`m${i}`, { z: i, group: 'g' }));
    const { actions } = await chosen(many, ['m0']);
    actions.duplicate();
    const made = commands.put.mock.calls[0] as Mark[];
    expect(made).toHaveLength(450);
    expect(new Set(made.map(({ group }) => group)).size).toBe(1);
    expect(made[0]!.group).not.toBe('g');
    expect(made[0]).not.toHaveProperty('by');
  });

  it('goes to the clipboard, unless words are marked elsewhere', () => {
    const deps = { page: 'p1', mayDraw: true, selected: marks, middle: () => [500, 500] as [number, number] };
    const acts = { onPut: vi.fn(), onText: vi.fn(), onFiles: vi.fn(), onCut: vi.fn() };
    renderHook(() => useClipboard({ ...deps, ...acts }));
    const data = new Map<string, string>();
    const clipboardData = {
      setData: (type: string, text: string) => data.set(type, text),
      getData: (type: string) => data.get(type) ?? '',
      files: [],
    };
    const send = (name: 'copy' | 'cut' | 'paste') => {
      const event = createEvent[name](document.body);
      Object.defineProperty(event, 'clipboardData', { value: clipboardData });
      fireEvent(document.body, event);
      return event.defaultPrevented;
    };
    const words = vi.spyOn(window, 'getSelection').mockReturnValue({ isCollapsed: false } as Selection);
    expect(send('copy')).toBe(false);
    words.mockReturnValue({ isCollapsed: true } as Selection);
    expect(send('copy')).toBe(true);
    expect(data.get('text/plain')).toBe('Zeno\nAnton');
    send('paste');
    expect((acts.onPut.mock.calls[0] as [Mark[]])[0]).toMatchObject([{ text: 'Zeno' }, { text: 'Anton' }]);
    send('cut');
    expect(acts.onCut).toHaveBeenCalled();
    data.clear();
    data.set('application/x-veranda-marks+json', '{broken');
    data.set('text/plain', 'From elsewhere');
    send('paste');
    expect(acts.onText).toHaveBeenCalledWith('From elsewhere');
  });
});

describe('pages', () => {
  it('keep their list of marks while nothing on them changes', () => {
    const [one, two] = [mark('a', { z: 2 }), mark('b', { z: 1 })];
    const { result, rerender } = renderHook(({ marks }) => useMarksByPage(marks), {
      initialProps: { marks: board(one, two, mark('c', { page: 'p2' })).marks },
    });
    const before = [result.current('p1'), result.current('p2')];
    expect(before[0]!.map(({ id }) => id)).toEqual(['b', 'a']);
    rerender({ marks: board(one, two, mark('d', { page: 'p2' })).marks });
    expect(result.current('p1')).toBe(before[0]);
    expect(result.current('p2')).not.toBe(before[1]);
    expect(result.current('none')).toEqual([]);
  });

  it('are turned by the strip', () => {
    Element.prototype.scrollIntoView = vi.fn();
    const onPage = vi.fn();
    render(<PageStrip board={board(mark('a'))} page="p1" onPage={onPage} />);
    expect(button('Page 1').getAttribute('aria-current')).toBe('page');
    fireEvent.click(button('Page 2'));
    expect(onPage).toHaveBeenCalledWith('p2');
  });

  it('tell who drew what', () => {
    const acts = { onOnly: vi.fn(), onTakeOff: vi.fn(), onChoose: vi.fn(), onClose: vi.fn() };
    const all = board(mark('a'), mark('b', { by: 'farah' }), mark('c', { by: 'farah' }), mark('d', { page: 'p2' }));
    const { rerender } = render(<WhoDidWhat board={all} page="p1" staff only={null} {...acts} />);
    const farah = screen.getByText('Farah Lindqvist').closest('li')!;
    expect(farah.textContent).toContain('2 marks');
    fireEvent.click(within(farah).getByRole('button', { name: 'Choose' }));
    expect(acts.onChoose).toHaveBeenCalledWith(['b', 'c']);
    fireEvent.click(within(farah).getByRole('button', { name: 'Take off' }));
    expect(acts.onTakeOff).toHaveBeenCalledWith('farah');
    rerender(<WhoDidWhat board={all} page="p1" staff={false} only="farah" {...acts} />);
    fireEvent.click(button('Show everyone'));
    expect(acts.onOnly).toHaveBeenCalledWith(null);
    expect(screen.queryByRole('button', { name: 'Take off' })).toBeNull();
  });
});

describe('props', () => {
  const prop = (kind: Mark['prop'], shows?: Mark['shows']) =>
    mark('p', { kind: 'prop', prop: kind, settings: {}, shows, w: 100, h: 50, points: undefined });
  const names = () => screen.queryAllByRole('button').map((one) => one.textContent);
  const controls = (one: Mark, reason: string | null = null, onUse = vi.fn()) => (
    <PropControls mark={one} view={{ scale: 1, x: 0, y: 0 }} reason={reason} onUse={onUse} />
  );

  it('offer what can be done with them as they stand', () => {
    const { rerender } = render(controls(prop('timer')));
    expect(names()).toEqual(['Start', 'Reset']);
    rerender(controls(prop('timer', { ends_at: 5 })));
    expect(names()).toEqual(['Pause', 'Reset']);
    rerender(controls(prop('picker')));
    expect(names()).toEqual(['Pick a name']);
    rerender(controls(prop('picker', { name: 'Ines', picked: ['Ines'] })));
    expect(names()).toEqual(['Pick a name', 'From the start']);
    rerender(controls(prop('counter')));
    expect(names()).toEqual([]);
  });

  it('say why they cannot be used', () => {
    const onUse = vi.fn();
    render(controls(prop('dice'), 'Nobody uses props just now.', onUse));
    expect(button('Roll').getAttribute('title')).toBe('Nobody uses props just now.');
    fireEvent.click(button('Roll'));
    expect(onUse).not.toHaveBeenCalled();
  });
});
