import { fireEvent, render, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Fallible } from './Fallible';

let fails: Error | null;
function Part() {
  if (fails) throw fails;
  return <p>all is well</p>;
}
const page = (of?: string) => (
  <>
    <Fallible what="The exchange" of={of}>
      <Part />
    </Fallible>
    <p>the rest</p>
  </>
);

describe('Fallible', () => {
  beforeEach(() => {
    vi.spyOn(console, 'error').mockImplementation(() => {});
    fails = new Error('odd data');
  });

  it('keeps a fault to the part where it is, and tries again when asked', () => {
    render(page());
    expect(screen.getByRole('alert').textContent).toContain('The exchange cannot be shown');
    expect(screen.getByText('the rest')).toBeTruthy();
    fails = null;
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(screen.getByText('all is well')).toBeTruthy();
  });

  it('tries again with another thing to show', () => {
    const { rerender } = render(page('one'));
    fails = null;
    rerender(page('two'));
    expect(screen.getByText('all is well')).toBeTruthy();
  });

  it('says that the page is old when a part of the program is gone', () => {
    fails = new TypeError('Failed to fetch dynamically imported module: /assets/Desk.js');
    render(page());
    expect(screen.getByRole('button', { name: 'Load again' })).toBeTruthy();
  });
});
