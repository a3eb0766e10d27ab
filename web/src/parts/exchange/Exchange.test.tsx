import { act, createEvent, fireEvent, render, screen } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Refused } from '../../api/http';
import type { Incoming, MaterialFacts, Post } from '../../api/shapes';
import { ALL_RIGHTS, connection, refused } from '../../testing/live';
import { place, sitting, own } from '../../testing/classes';
import { Exchange } from './Exchange';

const server = vi.hoisted(() => ({ uploads: [] as unknown[], refusal: null as Error | null, file: {} as object }));
vi.mock('../../api/upload', () => ({
  upload: (...call: unknown[]) => {
    server.uploads.push(call);
    return server.refusal ? Promise.reject(server.refusal) : Promise.resolve('m1');
  },
}));
vi.mock('../../api/http', async (original) => ({
  ...(await original<object>()),
  get: () => Promise.resolve(server.file),
  post: () => Promise.resolve({}),
}));

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
const shown = (posts: Post[] = [], rights = ALL_RIGHTS, more: Record<string, unknown> = {}) => {
  const live = connection({
    streams: {
      [STREAM]: { posts, pinned: [] },
      'sitting/s': sitting(),
      'place/s.main': place(),
      'own/s.farah': own(),
      ...more,
    },
    rights,
  });
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <Exchange sitting="s" place="main" />
    </QueryClientProvider>,
    { wrapper: live.wrapper },
  );
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

  it('finds what was begun for some addressed to them, and never to all', () => {
    const client = new QueryClient();
    const again = (wanted: { people: string[] } | null) => {
      const live = connection({
        streams: {
          [STREAM]: { posts: [], pinned: [] },
          'sitting/s': sitting(),
          'place/s.main': place(),
          'own/s.farah': own(),
        },
      });
      return render(
        <QueryClientProvider client={client}>
          <Exchange sitting="s" place="main" wanted={wanted} />
        </QueryClientProvider>,
        { wrapper: live.wrapper },
      );
    };
    const write = () => screen.getByPlaceholderText<HTMLTextAreaElement>(/^Write/);
    const first = again({ people: ['odalys'] });
    fireEvent.change(write(), { target: { value: 'I do not follow' } });
    const whom = write().getAttribute('aria-label');
    expect(whom).not.toBe('Write to everyone here');
    first.unmount();
    again(null);
    expect([write().value, write().getAttribute('aria-label')]).toEqual(['I do not follow', whom]);
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
    fireEvent.click(screen.getByRole('button', { name: 'What to do with the post of Jonas' }));
    expect(screen.queryByRole('menuitem', { name: 'Delete' })).toBeNull();
    fireEvent.keyDown(screen.getByRole('menu'), { key: 'Escape' });
    fireEvent.click(screen.getByRole('button', { name: 'What to do with your post', hidden: true }));
    fireEvent.click(screen.getByRole('menuitem', { name: 'Delete' }));
    expect(asked()).toEqual([['exchange.delete', { id: 'b' }]]);
  });

  it('lets every post and name run in the direction of its own letters', () => {
    shown([post('p1', 'متى نبدأ؟'), post('p2', 'At six.')]);
    for (const words of ['متى نبدأ؟', 'At six.']) expect(screen.getByText(words).closest('[dir=auto]')).not.toBeNull();
    expect(screen.getAllByText(/^Jonas/)[0]!.closest('[dir=auto]')).not.toBeNull();
  });

  describe('in threads', () => {
    const people = [
      { id: 'jonas', name: 'Jonas Whitlock' },
      { id: 'farah', name: 'Farah Lindqvist' },
    ];
    const row = { id: 't', people, staff: false };
    const with_thread = (staff = false) => ({
      'own/s.farah': { place: 'main', threads: [{ ...row, staff }] },
      'thread/s.t': { posts: [{ ...post('q', 'Yours?'), to: 'thread' }], pinned: [], people, staff },
    });
    const choose = (...names: string[]) => {
      fireEvent.keyDown(window, { key: 'w' });
      names.forEach((name) => fireEvent.click(screen.getByLabelText(name)));
      fireEvent.click(screen.getByRole('button', { name: 'Write' }));
    };
    const write = (whom: string, text: string) => {
      const input = screen.getByLabelText(`Write to ${whom}`);
      fireEvent.change(input, { target: { value: text } });
      fireEvent.keyDown(input, { key: 'Enter' });
    };

    it('shows what was written to one among what was written to all, in the order in which it was, with whom it was for', () => {
      shown([{ ...post('a', 'Later'), at: 2 }], ALL_RIGHTS, with_thread());
      expect(screen.getAllByTestId('post').map(({ textContent }) => textContent)).toEqual([
        expect.stringMatching(/^Jonas to you · .*Yours\?/),
        expect.stringMatching(/^Jonas to everyone · .*Later/),
      ]);
      fireEvent.click(screen.getByRole('button', { name: 'Private' }));
      expect(screen.getAllByTestId('post')).toHaveLength(1);
    });

    it('begins a thread with those who were chosen, and goes on in the one there is', () => {
      const { asked, tell } = shown();
      choose('Jonas Whitlock');
      write('Jonas', 'Psst');
      const [name, begun] = asked().at(-1)!;
      expect([name, begun]).toEqual([
        'exchange.begin_thread',
        { id: expect.any(String), people: ['jonas'], staff: false, post: { id: expect.any(String), text: 'Psst' } },
      ]);
      tell({ t: 'entry', stream: 'own/s.farah', kind: 'thread_begun', seq: 1, at: 1, by: 'farah', body: row });
      write('Jonas', 'And');
      expect(asked().at(-1)).toEqual(['thread.post', { id: expect.any(String), text: 'And' }]);
    });

    it('begins another when staff would read along that did not before, and says so', () => {
      const { asked } = shown([], ALL_RIGHTS, { ...with_thread(), 'place/s.main': place({ oversight: true }) });
      choose('Jonas Whitlock');
      expect(screen.getByText('staff read along')).toBeTruthy();
      write('Jonas', 'Psst');
      expect(asked().at(-1)![0]).toBe('exchange.begin_thread');
    });

    it('lets one write to staff, and to no student, where students do not write to one another', () => {
      const { asked } = shown([], {
        ...ALL_RIGHTS,
        threads: refused('Students may not write to one another just now.'),
      });
      fireEvent.keyDown(window, { key: 'w' });
      expect(screen.getByLabelText<HTMLInputElement>('Jonas Whitlock').disabled).toBe(true);
      expect(screen.getByText('Students may not write to one another just now.')).toBeTruthy();
      fireEvent.click(screen.getByLabelText('All staff'));
      write('staff', 'I am lost');
      expect(asked().at(-1)).toEqual(['exchange.begin_thread', expect.objectContaining({ people: [], staff: true })]);
    });

    it('answers everyone in the thread, and somebody who wrote to all alone', () => {
      const { asked } = shown([post('a', 'Who?')], ALL_RIGHTS, with_thread());
      fireEvent.click(screen.getAllByRole('button', { name: 'What to do with the post of Jonas' })[1]!);
      fireEvent.click(screen.getByRole('menuitem', { name: 'Answer' }));
      write('Jonas', 'Mine');
      expect(asked().at(-1)![0]).toBe('thread.post');
    });
  });

  it('sets a sign to a post and takes it back, and tells how many did', () => {
    const reactions = [
      { person: 'farah', sign: 'agree' as const },
      { person: 'odalys', sign: 'agree' as const },
    ];
    const { asked } = shown([{ ...post('a', 'Red gives way'), reactions }]);
    expect(screen.getByText('Agree 2')).toBeTruthy();
    const menu = () => fireEvent.click(screen.getByRole('button', { name: /What to do with the post/ }));
    menu();
    fireEvent.click(screen.getByRole('menuitem', { name: 'Sign: Thanks' }));
    expect(asked().at(-1)).toEqual(['exchange.react', { id: 'a', sign: 'thanks' }]);
  });

  it('keeps pinned posts in view above the others, and lists parked ones', () => {
    const posts = [{ ...post('a', 'Work in pairs'), parked: 'waiting' as const }, post('b', 'Other')];
    shown(posts, ALL_RIGHTS, { [STREAM]: { posts, pinned: ['a'] } });
    expect(screen.getByRole('region', { name: 'Kept in view' }).textContent).toContain('Work in pairs');
    expect(log().textContent).not.toContain('Work in pairs');
    fireEvent.click(screen.getByRole('button', { name: 'Parked 1' }));
    expect(log().textContent).toContain('Work in pairs');
    expect(log().textContent).not.toContain('Other');
  });
});

describe('files in the exchange', () => {
  const picture = new File(['x'], 'lights.png', { type: 'image/png' });
  const facts = (more: Partial<MaterialFacts>) => ({
    ...{ id: 'm1', title: 'lights', name: 'lights.png', version: 1, kind: 'picture', state: 'ready', size: 2048 },
    ...{ findings: [], slides: [{ slide: 1, w: 40, h: 30, words: '' }] },
    ...more,
  });
  const paste = (file: File) => fireEvent.paste(box(), { clipboardData: { files: [file] } });
  beforeEach(() => Object.assign(server, { uploads: [], refusal: null, file: facts({}) }));

  it('are pasted, go with the next post, and come back with it when it is refused', async () => {
    const { socket, asked, tell } = shown();
    paste(picture);
    expect(await screen.findByText('With lights.png')).toBeTruthy();
    expect(server.uploads).toEqual([[picture, { sitting: 's' }]]);
    fireEvent.keyDown(box(), { key: 'Enter' });
    expect(asked()).toEqual([['exchange.post', expect.objectContaining({ text: '', file: 'm1' })]]);
    expect(screen.queryByText('With lights.png')).toBeNull();
    const { id } = socket.said.find(({ t }) => t === 'do')!;
    tell({ t: 'refused', id: id as string, code: 'may_not_post', says: 'Not now.' });
    expect(await screen.findByText('With lights.png')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Without it' }));
    expect(screen.queryByText('With lights.png')).toBeNull();
  });

  it('are refused in words, and offered to nobody who may bring nothing', async () => {
    server.refusal = new Refused('file_too_large', 'A file in the exchange has up to 25 MB.', 422);
    const { tell } = shown();
    paste(picture);
    expect(await screen.findByText('A file in the exchange has up to 25 MB.')).toBeTruthy();
    tell({
      t: 'rights',
      rights: { 'place/s.main': { ...ALL_RIGHTS, bring: refused('You may not bring materials.') } },
    });
    expect(screen.queryByRole('button', { name: 'Add a file' })).toBeNull();
  });

  it('are shown as what they are: pictures, sounds, what is still looked through, what could not be opened', async () => {
    const show = async (more: Partial<MaterialFacts>, wanted: () => Promise<unknown>) => {
      server.file = facts(more);
      const { client } = shown([{ ...post('a', ''), file: 'm1' }]);
      expect(await wanted()).toBeTruthy();
      client.close();
      document.body.innerHTML = '';
    };
    await show({}, () => screen.findByAltText('lights'));
    await show({ kind: 'sound' }, () => screen.findByLabelText('lights.png'));
    await show({ kind: 'document' }, () => screen.findByText('lights.png (2 kB)'));
    await show({ state: 'working' }, () => screen.findByText('lights.png is being looked through.'));
    await show({ state: 'failed', findings: [{ code: 'x', says: 'This picture is damaged.' }] }, () =>
      screen.findByText('This picture is damaged.'),
    );
  });
});

describe('addresses in posts', () => {
  it('lead there, in a page that learns nothing of this one, and nothing else does', () => {
    shown([
      post('a', 'See https://example.org/lights?x=1, (http://example.org/b) and https://example.org.'),
      post('b', 'javascript:alert(1) ftp://x "https://" <a href="https://example.org/c">c</a>'),
    ]);
    const links = screen.getAllByRole('link').map((link) => [link.textContent, link.getAttribute('href')]);
    expect(links).toEqual(
      ['https://example.org/lights?x=1', 'http://example.org/b', 'https://example.org', 'https://example.org/c'].map(
        (address) => [address, address],
      ),
    );
    expect(screen.getAllByRole('link').every((link) => link.getAttribute('rel')!.includes('noopener'))).toBe(true);
    expect(log().textContent).toContain(
      'See https://example.org/lights?x=1, (http://example.org/b) and https://example.org.',
    );
  });
});
