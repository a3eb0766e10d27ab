import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Refused } from '../api/http';
import type { UploadOptions } from '../api/upload';
import { useUploads } from './useUploads';

interface Sent {
  name: string;
  options: UploadOptions;
  done: (id: string) => void;
  fail: (error: Error) => void;
}

const sent = vi.hoisted(() => [] as Sent[]);
vi.mock('../api/upload', () => ({
  upload: ({ name }: File, _: unknown, options: UploadOptions) =>
    new Promise((done, fail) => sent.push({ name, options, done, fail })),
}));

const onDone = vi.fn<(id: string) => void>();
const begun = (...names: string[]) => {
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
  );
  const hook = renderHook(() => useUploads({ course: 'navigation', purpose: 'lesson' }, onDone), { wrapper });
  act(() => hook.result.current.bring(names.map((name) => new File(['x'], name))));
  return { ...hook, list: () => hook.result.current.list };
};
const settle = (then: () => void) =>
  act(async () => {
    then();
    await new Promise((done) => setTimeout(done));
  });

beforeEach(() => {
  sent.length = 0;
  onDone.mockClear();
});

describe('files on their way', () => {
  it('are told of until they are there', async () => {
    const { list } = begun('lesson.zip');
    act(() => sent[0]!.options.onProgress!(0.5));
    expect(list()).toMatchObject([{ name: 'lesson.zip', share: 0.5, says: null }]);
    await settle(() => sent[0]!.done('new'));
    expect(list()).toEqual([]);
    expect(onDone).toHaveBeenCalledExactlyOnceWith('new');
  });

  it('take nobody away who has gone on to something else', async () => {
    const { unmount } = begun('lesson.zip');
    unmount();
    await settle(() => sent[0]!.done('new'));
    expect(onDone).not.toHaveBeenCalled();
  });

  it('say why one of them was not taken, and go on with the others', async () => {
    const { list } = begun('a.zip', 'b.zip', 'c.zip');
    await settle(() => sent[0]!.fail(new Refused('no_zip', 'This is no zip.', 422)));
    await settle(() => sent[1]!.fail(new TypeError('network')));
    await settle(() => sent[2]!.done('c'));
    expect(list().map(({ name, says }) => [name, says])).toEqual([
      ['a.zip', 'This is no zip.'],
      ['b.zip', 'The upload broke off. Bring the file again.'],
    ]);
    expect(onDone).toHaveBeenCalledExactlyOnceWith('c');
  });

  it('can be stopped, and are put away without a word', async () => {
    const { list, result } = begun('lesson.zip');
    act(() => result.current.cancel(list()[0]!.id));
    expect(sent[0]!.options.signal!.aborted).toBe(true);
    await settle(() => sent[0]!.fail(new DOMException('', 'AbortError')));
    expect(list()).toEqual([]);
  });
});
