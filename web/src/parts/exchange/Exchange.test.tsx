import { act, createEvent, fireEvent, render, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Incoming, Post } from '../../api/shapes';
import { ALL_RIGHTS, connection, refused } from '../../testing/live';
import { Exchange } from './Exchange';

const STREAM = 'exchange/s.main';
const post = (id: string, text: string, by = 'jonas'): Post => ({
  id,
  by,
  name: 'Jonas Eklund',
  to: 'everyone',
  at: 1,
  text,
});
const posted = (seq: number, id: string, text: string, by = 'jonas', cmd?: string): Incoming => ({
  t: 'entry',
  stream: STREAM,
  kind: 'posted',
  seq,
  at: 60_000,
  by,
  cmd,
  body: { id, to: 'everyone', name: by === 'farah' ? 'Farah Lindqvist' : 'Jonas Eklund', text },
});
const shown = (posts: Post[] = [], rights = ALL_RIGHTS) => {
  const live = connection({ streams: { [STREAM]: { posts } }, rights });
  render(<Exchange sitting="s" place="main" />, { wrapper: live.wrapper });
  return live;
};
const box = () => screen.getByLabelText<HTMLTextAreaElement>('Write to everyone here');
const type = (text: string) => fireEvent.change(box(), { target: { value: text } });
const log = () => screen.getByRole('log');
/** The list as it would be laid out. */
const lay = (scrollTop: number) =>
  Object.entries({ scrollTop, clientHeight: 300, scrollHeight: 1_000 }).forEach(([name, value]) =>
    Object.defineProperty(log(), name, { value, configurable: true, writable: true }),
  );

let scrolled: ReturnType<typeof vi.fn>;
beforeEach(() => {
  scrolled = vi.fn();
  Element.prototype.scrollTo = scrolled as never;
});

describe('Exchange', () => {
  it('shows an own post at once and says that it is on its way, also while the connection is away', () => {
    const { socket, tell } = shown();
    act(() => socket.onclose());
    type('Which light is that?');
    fireEvent.keyDown(box(), { key: 'Enter' });
    expect(log().textContent).toContain('Which light is that?');
    expect(log().textContent).toContain('on its way');
    expect(box().value).toBe('');
    tell(posted(1, 'x', 'First'));
    expect(screen.getAllByTestId('post')).toHaveLength(2);
  });

  it('gives a refused post back, before what was written since', async () => {
    const { socket, tell } = shown();
    type('Refused words');
    fireEvent.keyDown(box(), { key: 'Enter' });
    type('Newer words');
    tell({ t: 'refused', id: socket.said.at(-1)!.id as string, code: 'rule', says: 'Not now.' });
    await act(() => Promise.resolve());
    expect(box().value).toBe('Refused words\nNewer words');
    expect(screen.queryAllByTestId('post')).toHaveLength(0);
  });

  it('does not send while a word is being composed', () => {
    const { asked } = shown();
    type('にほ');
    const composing = createEvent.keyDown(box(), { key: 'Enter' });
    Object.defineProperty(composing, 'isComposing', { value: true });
    fireEvent(box(), composing);
    fireEvent.keyDown(box(), { key: 'Enter', keyCode: 229 });
    expect(asked()).toEqual([]);
    fireEvent.keyDown(box(), { key: 'Enter', shiftKey: true });
    expect(asked()).toEqual([]);
    fireEvent.keyDown(box(), { key: 'Enter' });
    expect(asked()).toHaveLength(1);
  });

  it('stays where one reads, tells what has come below, and goes there when asked', () => {
    const { tell } = shown([post('a', 'Old')]);
    lay(0);
    fireEvent.scroll(log());
    scrolled.mockClear();
    tell(posted(1, 'b', 'New'));
    tell(posted(2, 'c', 'Newer'));
    expect(scrolled).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole('button', { name: '2 new posts below' }));
    expect(scrolled).toHaveBeenCalledTimes(1);
    lay(690);
    fireEvent.scroll(log());
    expect(screen.queryByRole('button', { name: /below/ })).toBeNull();
    tell(posted(3, 'd', 'Newest'));
    expect(scrolled).toHaveBeenCalledTimes(2);
  });

  it('goes to an own post, wherever one reads', () => {
    shown([post('a', 'Old')]);
    lay(0);
    fireEvent.scroll(log());
    scrolled.mockClear();
    type('Mine');
    fireEvent.keyDown(box(), { key: 'Enter' });
    expect(scrolled).toHaveBeenCalled();
  });

  it('warns of what is not sent when the page is closed', () => {
    shown();
    const leave = () => {
      const event = new Event('beforeunload', { cancelable: true });
      window.dispatchEvent(event);
      return event.defaultPrevented;
    };
    expect(leave()).toBe(false);
    type('Half a');
    expect(leave()).toBe(true);
    fireEvent.keyDown(box(), { key: 'Enter' });
    expect(leave()).toBe(true);
  });

  it('says why one may not write, and keeps what was typed before', () => {
    const { tell } = shown();
    type('Half a sentence');
    const rights = { ...ALL_RIGHTS, post: refused('Nobody posts just now.') };
    tell({ t: 'rights', rights: { 'place/s.main': rights } });
    expect(screen.getByText('Nobody posts just now.')).toBeTruthy();
    expect(box().value).toBe('Half a sentence');
    expect(box().readOnly).toBe(true);
  });

  it('lets students delete their own posts and no others', () => {
    const { asked } = shown([post('a', 'Theirs'), post('b', 'Mine', 'farah')]);
    const buttons = screen.getAllByText('Delete');
    expect(buttons).toHaveLength(1);
    fireEvent.click(buttons[0]!);
    expect(asked()).toEqual([['exchange.delete', { id: 'b' }]]);
  });

  it('lets every post and name run in the direction of its own letters', () => {
    shown([post('p1', 'متى نبدأ؟'), post('p2', 'At six.')]);
    for (const words of ['متى نبدأ؟', 'At six.']) expect(screen.getByText(words).closest('[dir=auto]')).not.toBeNull();
    expect(screen.getAllByText(/^Jonas/)[0]!.closest('[dir=auto]')).not.toBeNull();
  });
});
