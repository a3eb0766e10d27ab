import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { LiveClient } from '../live/LiveClient';
import { Connections } from './Connections';

/** jsdom has no connections; how they are begun and agreed on is tried in real browsers (`spec/browser/stage_spec.rb`). */
class Peer {
  connectionState: RTCPeerConnectionState = 'new';
  onconnectionstatechange = () => {};
  localDescription = { sdp: 'an offer' };
  close = vi.fn();
  setLocalDescription = () => Promise.resolve();

  become(state: RTCPeerConnectionState) {
    this.connectionState = state;
    this.onconnectionstatechange();
  }
}

const onBroken = vi.fn();
const anew = vi.fn();
let connections: Connections;
const begin = () => connections.begin('sending', anew) as unknown as Peer;

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('RTCPeerConnection', Peer);
  connections = new Connections({ sayStage: () => {} } as unknown as LiveClient, onBroken);
});

afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
  vi.clearAllMocks();
});

it('leaves alone what comes back by itself, and makes anew what does not', () => {
  const peer = begin();
  peer.become('disconnected');
  expect([connections.broken(), onBroken.mock.calls]).toEqual([true, [[true]]]);
  peer.become('connected');
  vi.advanceTimersByTime(10_000);
  expect(anew).not.toHaveBeenCalled();
  expect(onBroken).toHaveBeenLastCalledWith(false);
  peer.become('failed');
  vi.advanceTimersByTime(10_000);
  expect(anew).toHaveBeenCalledOnce();
});

it('hears nothing any more of one that another has taken the place of, nor of one that was closed', async () => {
  const before = begin();
  const now = begin();
  expect(before.close).toHaveBeenCalledOnce();
  before.become('failed');
  vi.advanceTimersByTime(10_000);
  expect([anew.mock.calls, onBroken.mock.calls, connections.broken()]).toEqual([[], [], false]);
  expect(await connections.offer('sending', before as unknown as RTCPeerConnection)).toBeNull();
  expect(await connections.offer('sending', now as unknown as RTCPeerConnection)).toBe('an offer');
  now.become('disconnected');
  connections.close('sending');
  vi.advanceTimersByTime(10_000);
  expect(anew).not.toHaveBeenCalled();
});
