import { act, fireEvent, render, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Keys } from '../frame/Keys';
import { useShortcuts } from './useShortcuts';

const acts = { next: vi.fn(), play: vi.fn(), undo: vi.fn(), cue: vi.fn(), back: vi.fn() };
function Page({ open = null }: { open?: 'menu' | 'dialog' | null }) {
  useShortcuts({
    ']': ['Go on', acts.next],
    ' ': ['Play', acts.play],
    'Ctrl+z': ['Undo', acts.undo],
    'Alt+1': ['First cue', acts.cue],
    ArrowLeft: ['Back', acts.back],
  });
  return (
    <>
      <button>Share</button>
      <input aria-label="Title" />
      {open && <div role={open} />}
      <Keys />
    </>
  );
}
const press = (key: string, more: object = {}, on: Element = document.body) => fireEvent.keyDown(on, { key, ...more });

beforeEach(() => vi.clearAllMocks());

describe('keys of a page', () => {
  it('goes one step on for one press, however long the key is held', () => {
    render(<Page />);
    press(']');
    press(']', { repeat: true });
    press(']', { repeat: true });
    expect(acts.next).toHaveBeenCalledTimes(1);
    press('ArrowLeft', { repeat: true });
    press('z', { ctrlKey: true, repeat: true });
    expect(acts.back).toHaveBeenCalledTimes(1);
    expect(acts.undo).toHaveBeenCalledTimes(1);
  });

  it('leaves keys to menus and dialogs that are open', () => {
    const { rerender } = render(<Page open="menu" />);
    press(']');
    rerender(<Page open="dialog" />);
    press(']');
    expect(acts.next).not.toHaveBeenCalled();
  });

  it('leaves Space and Enter to the button that has the focus, and all letters to who writes', () => {
    render(<Page />);
    press(' ', {}, screen.getByText('Share'));
    press(']', {}, screen.getByLabelText('Title'));
    expect(acts.play).not.toHaveBeenCalled();
    expect(acts.next).not.toHaveBeenCalled();
    press(' ');
    expect(acts.play).toHaveBeenCalledTimes(1);
  });

  it('go on after a switch was pressed, which keeps the focus and takes no letters', () => {
    render(
      <>
        <Page />
        <input type="checkbox" aria-label="All may draw" />
        <input type="number" aria-label="Minutes" />
      </>,
    );
    press(']', {}, screen.getByLabelText('All may draw'));
    expect(acts.next).toHaveBeenCalledTimes(1);
    press(']', {}, screen.getByLabelText('Minutes'));
    expect(acts.next).toHaveBeenCalledTimes(1);
  });

  it('knows Alt+1 by its place on the keyboard', () => {
    render(<Page />);
    press('¡', { altKey: true, code: 'Digit1' });
    press('1', { altKey: true, code: 'Numpad1' });
    expect(acts.cue).toHaveBeenCalledTimes(2);
  });

  it('does nothing while a word is being composed', () => {
    render(<Page />);
    press(']', { isComposing: true });
    expect(acts.next).not.toHaveBeenCalled();
  });

  it('lists itself when ? is pressed', () => {
    const { unmount } = render(<Page />);
    act(() => void press('?', { shiftKey: true }));
    expect(screen.getByRole('dialog').textContent).toContain('Alt + 1First cue');
    expect(screen.getByRole('dialog').textContent).toContain('SpacePlay');
    unmount();
    render(<Keys />);
    act(() => void press('?'));
    expect(screen.getByRole('dialog').textContent).not.toContain('First cue');
  });
});
