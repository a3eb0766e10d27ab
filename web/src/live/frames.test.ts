import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { oncePerFrame } from './frames';

describe('what is told together', () => {
  const act = vi.fn<() => void>();
  let frames: FrameRequestCallback[];
  const picture = () => frames.splice(0).forEach((frame) => frame(0));
  const shown = (state: DocumentVisibilityState) => vi.spyOn(document, 'visibilityState', 'get').mockReturnValue(state);

  beforeEach(() => {
    vi.useFakeTimers({ toFake: ['setTimeout'] });
    act.mockClear();
    frames = [];
    vi.stubGlobal('requestAnimationFrame', (frame: FrameRequestCallback) => frames.push(frame));
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.restoreAllMocks();
  });

  it('is told once for each picture, however much is heard in between', () => {
    shown('visible');
    const tell = oncePerFrame(act);
    for (let i = 0; i < 400; i++) tell();
    expect(act).not.toHaveBeenCalled();
    picture();
    expect(act).toHaveBeenCalledTimes(1);
    picture();
    expect(act).toHaveBeenCalledTimes(1);
    tell();
    picture();
    expect(act).toHaveBeenCalledTimes(2);
  });

  it('is told seldom where the screen shows nothing, and not never', () => {
    shown('hidden');
    const tell = oncePerFrame(act);
    for (let i = 0; i < 100; i++) {
      tell();
      vi.advanceTimersByTime(10);
    }
    expect(frames).toHaveLength(0);
    expect(act.mock.calls.length).toBeGreaterThan(2);
    expect(act.mock.calls.length).toBeLessThan(6);
  });
});
