import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Rights } from '../api/shapes';
import { place } from '../testing/classes';
import { connection, FARAH } from '../testing/live';
import { ClassCaptions } from './ClassCaptions';

const line = (words: string, i: number) => ({ id: `c${i}`, words, lang: 'en', by: 'tomas', at: i });
const may = (allowed: boolean) => ({ caption: { allowed, says: '' } }) as unknown as Rights;

beforeEach(() => localStorage.clear());
afterEach(cleanup);

function shown(words: string[], { allowed = false, staff = false } = {}) {
  const { wrapper, asked } = connection({ you: FARAH });
  const state = place({ captions: words.map(line) });
  render(<ClassCaptions place={state} room="place/s.main" rights={may(allowed)} staff={staff} />, { wrapper });
  return asked;
}

describe('captions in class', () => {
  it('take no room where nobody writes any', () => {
    shown([]);
    expect(document.querySelector('button')).toBeNull();
    cleanup();
    // Those who teach have the switch on their sheet.
    shown([], { allowed: true, staff: true });
    expect(document.querySelector('button')).toBeNull();
  });

  it('are read by those who switch them on, the last two lines', () => {
    shown(['One', 'Two', 'Three']);
    expect(screen.queryByText('Three')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Captions' }));
    fireEvent.click(screen.getByRole('menuitem', { name: 'Show captions' }));
    expect([screen.queryByText('One'), screen.getByText('Two'), screen.getByText('Three')][0]).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Captions' }));
    fireEvent.click(screen.getByRole('menuitem', { name: 'Show no captions' }));
    expect(screen.queryByText('Three')).toBeNull();
  });

  it('are written a line at a time by those who may', () => {
    const asked = shown([], { allowed: true });
    fireEvent.click(screen.getByRole('button', { name: 'Write captions' }));
    const field = screen.getByLabelText('What is said');
    fireEvent.change(field, { target: { value: '  Keep to starboard  ' } });
    fireEvent.submit(field);
    const [[name, facts]] = asked() as [[string, { words: string; lang: string; took: number }]];
    expect([name, facts.words, facts.lang]).toEqual(['class.caption', 'Keep to starboard', 'en']);
    expect(facts.took).toBeGreaterThanOrEqual(0);
    expect((field as HTMLInputElement).value).toBe('');
    fireEvent.click(screen.getByRole('button', { name: 'Write no captions' }));
    expect(screen.queryByLabelText('What is said')).toBeNull();
  });
});
