import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Clip } from '../api/shapes';
import { keepInStep } from '../parts/media/inStep';
import { place } from '../testing/classes';
import { connection, FARAH, ODALYS } from '../testing/live';
import { ClipLine } from './ClipLine';

const clip: Clip = {
  ...{ material: 'm', version: 1, kind: 'clip', title: 'Fog signals', length: 60_000 },
  ...{ playing: true, at: 0, since: 0, speed: 1, loop: null, front: true },
};

beforeEach(() => {
  vi.useFakeTimers({ now: 10_000 });
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

function shown(you = ODALYS, more: Partial<Clip> = {}) {
  const { wrapper, asked } = connection({ you });
  const state = place({ clip: { ...clip, ...more } });
  render(<ClipLine place={state} room="place/s.main" you={you} course="c" lesson="l" />, { wrapper });
  return asked;
}

describe('what plays for everyone', () => {
  it('is told in words, and is not for students to move', () => {
    shown(FARAH);
    expect(screen.getByRole('status').textContent).toBe('“Fog signals” plays for everyone.');
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('is held and played on by a button or a key, from where it stands', () => {
    const asked = shown();
    expect(screen.getByText('0:10 of 1:00')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Hold' }));
    fireEvent.keyDown(window, { key: 'p' });
    expect(asked()).toEqual([
      ['class.set_clip', { material: 'm', playing: false }],
      ['class.set_clip', { material: 'm', playing: false }],
    ]);
  });

  it('begins again once it has come to its end', () => {
    const asked = shown(ODALYS, { at: 59_000 });
    fireEvent.click(screen.getByRole('button', { name: 'Play' }));
    expect(asked()).toEqual([['class.set_clip', { material: 'm', playing: true, at: 0 }]]);
  });

  it('plays a stretch again, from one press to the next', () => {
    const asked = shown();
    fireEvent.click(screen.getByRole('button', { name: 'Again from here' }));
    act(() => void vi.advanceTimersByTime(4_000));
    fireEvent.click(screen.getByRole('button', { name: '… to here' }));
    expect(asked()).toEqual([['class.set_clip', { material: 'm', loop: [10_000, 14_000], at: 10_000 }]]);
  });
});

describe('keeping in step', () => {
  const element = (currentTime: number, paused = false) => ({
    ...{ readyState: 4, currentTime, paused, seeking: false, duration: 60, playbackRate: 1 },
    play: vi.fn(async () => {}),
    pause: vi.fn(),
  });
  const keep = (media: ReturnType<typeof element>, at: number, playing = true, speed = 1) =>
    keepInStep(media as unknown as HTMLMediaElement, { at, playing, speed });

  it('leads back by speed what is a little off, and jumps beyond that', () => {
    const late = element(9.9);
    keep(late, 10);
    expect([late.currentTime, late.playbackRate > 1]).toEqual([9.9, true]);
    const early = element(10.1);
    keep(early, 10, true, 2);
    expect([early.currentTime, early.playbackRate < 2]).toEqual([10.1, true]);
    const far = element(9.6);
    keep(far, 10);
    expect(far.currentTime).toBe(10);
  });

  it('holds where it is to be held, and plays nothing before its time or after its end', () => {
    const held = element(4);
    keep(held, 10, false);
    expect([held.pause.mock.calls.length, held.currentTime]).toEqual([1, 10]);
    const before = element(0, true);
    keep(before, -1);
    const after = element(60, true);
    keep(after, 61);
    expect([before.play, after.play].map((play) => play.mock.calls.length)).toEqual([0, 0]);
  });
});
