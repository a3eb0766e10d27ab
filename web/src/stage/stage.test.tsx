import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Incoming, Invitation, StageSlot } from '../api/shapes';
import { LiveContext } from '../live/hooks';
import { own, place } from '../testing/classes';
import { ALL_RIGHTS, connection, FARAH, ODALYS, refused } from '../testing/live';
import { talkKey } from './talk';
import { choose, SIMULATED, troubleWith } from './devices';
import { Invited } from './Invited';
import { Stage } from './Stage';
import { StageControls } from './StageControls';
import { StageContext } from './useStage';

const stopped = vi.fn();
vi.mock('./simulated', () => ({
  simulatedVoice: () => ({ track: { kind: 'audio' }, stop: stopped }),
  simulatedPicture: () => ({ track: { kind: 'video' }, stop: stopped }),
}));

/** A connection of the browser as far as it is used here. */
class Peer {
  static made: Peer[] = [];
  connectionState = 'new';
  localDescription = { sdp: 'v=0 ours' };
  remote: unknown[] = [];
  closed = false;
  onconnectionstatechange = () => {};
  private lines: { mid: string; receiver: { track: { kind: string } }; sender: { replaceTrack: () => void } }[] = [];
  constructor() {
    Peer.made.push(this);
  }
  addTransceiver(what: string | { kind: string }) {
    const kind = typeof what === 'string' ? what : what.kind;
    this.lines.push({ mid: `${this.lines.length}`, receiver: { track: { kind } }, sender: { replaceTrack: vi.fn() } });
  }
  getTransceivers = () => this.lines;
  setLocalDescription = async () => {};
  setRemoteDescription = async (description: unknown) => {
    this.remote.push(description);
    if (this.lines.length === 0) this.addTransceiver('audio');
  };
  close = () => void (this.closed = true);
}

const told: Extract<Incoming, { t: 'stage' }> = {
  t: 'stage',
  up: true,
  epoch: 1,
  place: 'main',
  people: [],
  heard_by: [],
  hears: null,
  relays: [],
  speaking: [],
};
const slots: StageSlot[] = [{ mid: '0', person: 'farah', kind: 'audio' }];

function start(rights = ALL_RIGHTS, invitation: Invitation | null = null) {
  const streams = { 'own/s.farah': own({ invitation }) };
  const { client, socket, tell, asked } = connection({ you: invitation ? FARAH : ODALYS, streams });
  const stage = new Stage(client, 'Odalys Brandt');
  const shown = () => (
    <LiveContext value={client}>
      <StageContext value={stage}>
        <StageControls place={place()} room="place/s.main" you={ODALYS} rights={rights} form="plain" />
        <Invited sitting="s" at="main" rights={rights} />
      </StageContext>
    </LiveContext>
  );
  const { rerender } = render(shown());
  stage.subscribe(() => rerender(shown()));
  const said = () =>
    socket.said.filter(({ t }) => t === 'stage').map(({ act: what, ...more }) => [what, more.switch, more.on]);
  return { stage, tell, said, asked, socket };
}

beforeEach(() => {
  Peer.made = [];
  stopped.mockReset();
  vi.stubGlobal('RTCPeerConnection', Peer);
  vi.stubGlobal(
    'MediaStream',
    class {
      constructor(private tracks: unknown[]) {}
      getTracks = () => this.tracks;
    },
  );
  (['microphone', 'camera'] as const).forEach((device) => choose(device, SIMULATED));
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const settled = () => act(async () => void (await new Promise((later) => setTimeout(later, 5))));

describe('one’s own sound', () => {
  it('is offered once it is switched on, and stopped when it is switched off', async () => {
    const { tell, said } = start();
    tell(told);
    fireEvent.click(screen.getByRole('button', { name: 'Microphone' }));
    await settled();
    expect(said().map(([what]) => what)).toEqual(['come', 'send', 'switch', 'switch']);
    tell({ t: 'sending', epoch: 1, sdp: 'v=0 theirs' });
    expect(Peer.made[0]!.remote).toEqual([{ type: 'answer', sdp: 'v=0 theirs' }]);
    fireEvent.click(screen.getByRole('button', { name: 'Mute' }));
    expect(said().at(-1)).toEqual(['switch', 'microphone', false]);
    expect(stopped).toHaveBeenCalledOnce();
  });

  it('is not to be had where one may not speak, and goes off when one may no more', async () => {
    const { tell, stage } = start({ ...ALL_RIGHTS, speak: refused('Nobody speaks just now.') });
    tell(told);
    const button = screen.getByRole('button', { name: 'Microphone' }) as HTMLButtonElement;
    expect([button.disabled, button.title]).toEqual([true, 'Nobody speaks just now.']);
    await act(async () => void stage.set('microphone', true));
    await settled();
    expect(stage.state.microphone).toBe('off');
  });

  it('hears another place over a connection of its own, until it may no more', async () => {
    const { tell, stage, said } = start();
    tell(told);
    act(() => stage.overhear('r1'));
    tell({ ...told, hears: 'r1' });
    tell({ t: 'hearing', ear: 1, sdp: 'v=0 theirs', slots });
    await settled();
    expect(said().map(([what]) => what)).toEqual(['come', 'overhear', 'answer']);
    expect([...stage.state.overheard.keys()]).toEqual(['farah']);
    // Another is heard instead: what is still said of the first counts no more.
    act(() => stage.overhear('r2'));
    expect([Peer.made[0]!.closed, stage.state.overheard.size]).toEqual([true, 0]);
    tell({ t: 'hearing', ear: 2, sdp: 'v=0 theirs', slots });
    await settled();
    expect(Peer.made).toHaveLength(2);
    tell(told);
    expect([Peer.made[1]!.closed, stage.state.overheard.size]).toEqual([true, 0]);
  });

  it('says that it comes back where a connection broke, and begins anew when the page wakes', async () => {
    const { tell, said, stage } = start();
    tell(told);
    tell({ t: 'watching', epoch: 1, sdp: 'v=0 theirs', slots });
    await settled();
    const peer = Peer.made[0]!;
    act(() => {
      peer.connectionState = 'disconnected';
      peer.onconnectionstatechange();
    });
    expect(screen.getByText('Sound and picture come back in a moment.')).toBeTruthy();
    act(() => void document.dispatchEvent(new Event('visibilitychange')));
    expect(said().at(-1)![0]).toBe('anew');
    tell({ ...told, epoch: 2 });
    expect(stage.state.again).toBe(false);
  });

  it('knows whose connection is not good, until it is again', () => {
    const { tell, stage } = start();
    tell({ t: 'link', stream: 'staff/s', person: 'nils', link: 'weak' });
    expect(stage.state.links.get('nils')).toBe('weak');
    tell({ t: 'link', stream: 'staff/s', person: 'nils', link: 'good' });
    expect(stage.state.links.size).toBe(0);
  });

  it('begins anew when the media server has forgotten all, and not before', async () => {
    const { tell, stage } = start();
    tell(told);
    await act(async () => void stage.set('microphone', true));
    await settled();
    tell({ ...told, up: false, place: null });
    expect(Peer.made[0]!.closed).toBe(true);
    expect(screen.getByRole('status').textContent).toContain('All else goes on');
    tell({ ...told, epoch: 2 });
    await settled();
    expect(Peer.made).toHaveLength(2);
  });

  it('begins anew after every welcome, whatever number the server gives to that beginning', async () => {
    const { tell, stage, said, socket } = start();
    tell(told);
    await act(async () => void stage.set('microphone', true));
    await settled();
    act(() => socket.tell({ t: 'welcome', v: 2, you: ODALYS, rights: { 'place/s.main': ALL_RIGHTS }, streams: [] }));
    expect([Peer.made[0]!.closed, said().at(-1)![0]]).toEqual([true, 'come']);
    tell(told);
    await settled();
    expect(Peer.made).toHaveLength(2);
    expect(said().map(([what]) => what)).toEqual(['come', 'send', 'switch', 'switch', 'come', 'send', 'switch']);
  });

  it('lets go of its devices when another window takes over, and is taken back by a button', async () => {
    const { tell, said } = start();
    tell(told);
    fireEvent.click(screen.getByRole('button', { name: 'Microphone' }));
    await settled();
    tell({ ...told, place: null, says: 'You are heard and seen in another window now.' });
    expect([stopped.mock.calls.length, Peer.made[0]!.closed]).toEqual([1, true]);
    expect(screen.getByRole('status').textContent).toContain('another window');
    fireEvent.click(screen.getByRole('button', { name: 'Be heard here instead' }));
    expect(said().at(-1)![0]).toBe('anew');
  });

  it('goes off when somebody mutes one, and says who', async () => {
    const { tell, stage, said } = start();
    tell(told);
    fireEvent.click(screen.getByRole('button', { name: 'Microphone' }));
    await settled();
    tell({ t: 'muted', by: 'Odalys Brandt' });
    expect([stage.state.microphone, stopped.mock.calls.length]).toEqual(['off', 1]);
    expect(screen.getByRole('status').textContent).toBe('Odalys muted you.');
    expect(said().at(-1)).toEqual(['switch', 'microphone', false]);
    fireEvent.click(screen.getByRole('button', { name: 'Microphone' }));
    await settled();
    expect(screen.queryByText('Odalys muted you.')).toBeNull();
  });

  it('is open while a key is held, and kept open a little longer for the next time', async () => {
    const { tell, stage } = start();
    tell(told);
    fireEvent.keyDown(window, { key: 'm' });
    await settled();
    expect(stage.state.microphone).toBe('on');
    fireEvent.blur(window);
    expect([stage.state.microphone, stopped.mock.calls.length]).toEqual(['off', 0]);
    stage.close();
    expect(stopped).toHaveBeenCalledOnce();
  });

  it('is switched on by invitation, and only by whoever agrees', async () => {
    const invitation: Invitation = { device: 'microphone', name: 'Odalys Brandt', place: 'main' };
    const { tell, stage, asked } = start(ALL_RIGHTS, invitation);
    tell(told);
    expect(screen.getByLabelText('An invitation').textContent).toContain('Odalys invites you to speak.');
    expect(stage.state.microphone).toBe('off');
    fireEvent.click(screen.getByRole('button', { name: 'Switch my microphone on' }));
    await settled();
    expect([stage.state.microphone, asked()]).toEqual(['on', [['class.answer_invitation', { yes: true }]]]);
  });

  it('tells in words why a device cannot be used', () => {
    expect(troubleWith('camera', new DOMException('', 'NotReadableError'))).toContain('taken by another program');
    expect(troubleWith('microphone', new DOMException('', 'NotAllowedError'))).toContain('Allow it');
    expect(troubleWith('microphone', new Error('odd'))).toContain('could not be used');
  });
});

describe('the key to speak by', () => {
  it('holds open, stays open when tapped twice, and closes with one more press', () => {
    const key = talkKey();
    expect([key.down(0, false), key.up(2_000)]).toEqual(['open', 'close']);
    expect([key.down(3_000, false), key.up(3_100)]).toEqual(['open', 'close']);
    expect([key.down(3_300, false), key.up(3_400)]).toEqual(['open', null]);
    expect([key.down(9_000, true), key.up(9_100)]).toEqual(['close', null]);
  });

  it('takes two slow taps for two', () => {
    const key = talkKey();
    expect([0, 900].map((at) => [key.down(at, false), key.up(at + 100)])).toEqual([
      ['open', 'close'],
      ['open', 'close'],
    ]);
  });
});

describe('the sound of others', () => {
  it('is sorted by whose it is, and what belongs to an earlier time is passed over', async () => {
    const { tell, stage, said } = start();
    tell(told);
    tell({ t: 'watching', epoch: 0, sdp: 'v=0 old', slots });
    await settled();
    expect(Peer.made).toHaveLength(0);
    tell({ t: 'watching', epoch: 1, sdp: 'v=0 offer', slots });
    await settled();
    expect(stage.state.tracks.get('farah')?.audio).toBeTruthy();
    expect(said().at(-1)![0]).toBe('answer');
    tell({ t: 'voice', stream: 'place/s.main', person: 'farah', on: true });
    expect([...stage.state.speaking]).toEqual(['farah']);
  });
});
