import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { Words } from './Words';

const field = () => screen.getByLabelText<HTMLInputElement>('Title');
const type = (value: string) => fireEvent.change(field(), { target: { value } });

describe('Words', () => {
  it('keeps what is being typed when the value changes underneath, and says what was seen when that was begun', () => {
    const save = vi.fn();
    const { rerender } = render(<Words label="Title" value="Fog" seen={3} onSave={save} />);
    type('Fog d');
    rerender(<Words label="Title" value="From elsewhere" seen={4} onSave={save} />);
    type('Fog drill');
    expect(field().value).toBe('Fog drill');
    fireEvent.blur(field());
    expect(save).toHaveBeenCalledWith('Fog drill', 3);
  });

  it('follows its value while nothing is typed', () => {
    const { rerender } = render(<Words label="Title" value="Fog" onSave={vi.fn()} />);
    rerender(<Words label="Title" value="From elsewhere" onSave={vi.fn()} />);
    expect(field().value).toBe('From elsewhere');
  });

  it('saves what was typed when it goes away', () => {
    const save = vi.fn();
    const { unmount } = render(<Words label="Title" value="Fog" onSave={save} />);
    type('Fog drill');
    unmount();
    expect(save).toHaveBeenCalledWith('Fog drill', undefined);
  });

  it('saves once, and nothing that is the same', () => {
    const save = vi.fn();
    const { unmount } = render(<Words label="Title" value="Fog" onSave={save} />);
    fireEvent.blur(field());
    type('Fog ');
    type('Fog');
    fireEvent.keyDown(field(), { key: 'Enter' });
    expect(save).not.toHaveBeenCalled();
    type('Fog 2');
    fireEvent.keyDown(field(), { key: 'Enter' });
    fireEvent.blur(field());
    unmount();
    expect(save).toHaveBeenCalledTimes(1);
  });

  it('takes old words back with Escape, and no letters for a number', () => {
    const save = vi.fn();
    render(<Words label="Title" value="12" numeric onSave={save} />);
    type('twelve');
    fireEvent.blur(field());
    expect(save).not.toHaveBeenCalled();
    expect(field().value).toBe('12');
    type('30');
    fireEvent.keyDown(field(), { key: 'Escape' });
    expect(field().value).toBe('12');
  });
});
