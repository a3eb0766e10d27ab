import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { OwnDevices } from './OwnDevices';
import type { Made } from './simulated';

const device = (): Made => ({ track: { onended: null } as unknown as MediaStreamTrack, stop: vi.fn() });

let devices: OwnDevices;
beforeEach(() => {
  vi.useFakeTimers();
  devices = new OwnDevices('Farah Lindqvist');
});
afterEach(() => void vi.useRealTimers());

it('keeps a microphone open for a moment when it may be wanted again, and then no longer', async () => {
  const made = device();
  devices.use('microphone', made, () => {});
  devices.letGo('microphone', true);
  expect(devices.track('microphone')).toBeNull();
  expect(await devices.open('microphone')).toBe(made);
  vi.advanceTimersByTime(60_000);
  expect(made.stop).not.toHaveBeenCalled();
  devices.use('microphone', made, () => {});
  devices.letGo('microphone', true);
  vi.advanceTimersByTime(60_000);
  expect(made.stop).toHaveBeenCalledOnce();
});

it('closes at once what is let go of, and all of it in the end', () => {
  const [camera, warm, microphone] = [device(), device(), device()];
  devices.use('camera', camera, () => {});
  devices.letGo('camera');
  expect(camera.stop).toHaveBeenCalledOnce();
  devices.use('microphone', warm, () => {});
  devices.letGo('microphone', true);
  devices.use('microphone', microphone, () => {});
  devices.close();
  expect([warm, microphone].map((made) => vi.mocked(made.stop).mock.calls.length)).toEqual([1, 1]);
});
