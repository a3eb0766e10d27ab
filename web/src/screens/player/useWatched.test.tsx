import { cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { RecordingFacts } from '../../api/shapes';
import type { Recorder } from './Recorder';
import { useWatched } from './useWatched';

const told: unknown[] = [];
vi.mock('../../api/http', () => ({ post: (...facts: unknown[]) => (told.push(facts), Promise.resolve({})) }));

const OPENED = 1_000_000;

/** What a player has, moved by hand. */
function player() {
  let heard = () => {};
  const recorder = {
    ...{ playing: false, onItsWay: true, wall: 0 },
    subscribe: (listener: () => void) => {
      heard = listener;
      return () => {};
    },
  };
  const at = (facts: Partial<typeof recorder>) => {
    Object.assign(recorder, facts);
    heard();
  };
  return { recorder: recorder as unknown as Recorder, at };
}

beforeEach(() => {
  told.length = 0;
  vi.useFakeTimers();
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

describe('what was watched', () => {
  it('is told every little while, the minutes that played and none from before it was there', () => {
    const { recorder, at } = player();
    renderHook(() => useWatched(recorder, { id: 's', opened: OPENED } as RecordingFacts));
    at({ playing: true });
    at({ onItsWay: false, wall: OPENED + 30_000 });
    at({ wall: OPENED + 61_000 });
    vi.advanceTimersByTime(20_000);
    expect(told).toEqual([['/api/recordings/s/watched', { at: OPENED + 61_000, minutes: [0, 1] }]]);
    // Nothing is told of what stands still.
    at({ playing: false });
    vi.advanceTimersByTime(60_000);
    expect(told.length).toBe(1);
  });

  it('is told by whoever leaves', () => {
    const { recorder, at } = player();
    const { unmount } = renderHook(() => useWatched(recorder, { id: 's', opened: OPENED } as RecordingFacts));
    at({ playing: true, onItsWay: false, wall: OPENED + 130_000 });
    unmount();
    expect(told).toEqual([['/api/recordings/s/watched', { at: OPENED + 130_000, minutes: [2] }]]);
  });
});
