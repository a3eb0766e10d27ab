import type { Relay, StageSlot } from '../api/shapes';
import type { LiveClient } from '../live/LiveClient';
import type { Tracks } from './state';

/** One's connections: what one sends, what one is sent, one's screen, and another place that one hears. */
export type Side = 'sending' | 'watching' | 'screen' | 'hearing';

/** ms until a connection that broke is made anew, and in which it may come back by itself. */
const AGAIN = 1_000;
const MENDS = 3_000;
const BROKEN = new Set<RTCPeerConnectionState>(['disconnected', 'failed']);

/** The connections of a page to the media server, one a side. Each that breaks, and does not come back by itself, is made anew. */
export class Connections {
  /** By which they go where there is no way to the media server itself. */
  relays: Relay[] = [];
  private all: Partial<Record<Side, RTCPeerConnection>> = {};

  /**
   * @param live by which each is agreed on
   * @param onBroken told whether one is broken
   */
  constructor(
    private live: LiveClient,
    private onBroken: (broken: boolean) => void,
  ) {}

  of = (side: Side): RTCPeerConnection | undefined => this.all[side];

  /** @returns whether a connection is the one that counts on its side; another may have been begun meanwhile */
  counts = (side: Side, connection: RTCPeerConnection) => this.all[side] === connection;

  /**
   * Begins one, in place of the one before.
   * @param anew makes it anew once it is broken
   */
  begin(side: Side, anew: () => void): RTCPeerConnection {
    this.close(side);
    const connection = (this.all[side] = new RTCPeerConnection({ iceServers: this.relays }));
    const broken = () => this.counts(side, connection) && BROKEN.has(connection.connectionState);
    connection.onicecandidate = ({ candidate }) =>
      this.live.sayStage({ act: 'candidate', side, with: candidate?.toJSON() ?? {} });
    connection.onconnectionstatechange = () => {
      if (this.counts(side, connection) && connection.connectionState === 'connected') this.onBroken(false);
      if (!broken()) return;
      this.onBroken(true);
      // What comes back by itself within a moment is left alone.
      setTimeout(() => broken() && anew(), connection.connectionState === 'failed' ? AGAIN : MENDS);
    };
    return connection;
  }

  /**
   * Makes an offer by which one sends something.
   * @returns its words; null when another was begun meanwhile
   */
  async offer(side: Side, connection: RTCPeerConnection): Promise<string | null> {
    await connection.setLocalDescription();
    return this.counts(side, connection) ? connection.localDescription!.sdp : null;
  }

  /**
   * Answers an offer by which one is sent something.
   * @returns the words of the answer; null when another was begun meanwhile
   */
  async answer(side: Side, connection: RTCPeerConnection, offered: string): Promise<string | null> {
    await connection.setRemoteDescription({ type: 'offer', sdp: offered });
    return this.offer(side, connection);
  }

  /** Takes what the media server answered to an offer. */
  async answered(side: Side, sdp: string): Promise<void> {
    await this.all[side]?.setRemoteDescription({ type: 'answer', sdp });
  }

  close(...sides: Side[]) {
    sides.forEach((side) => {
      this.all[side]?.close();
      delete this.all[side];
    });
  }

  /** @returns whether any is broken just now */
  broken = () => Object.values(this.all).some((one) => BROKEN.has(one.connectionState));
}

/** @returns which of what arrives is whose */
export function sorted(connection: RTCPeerConnection, slots: StageSlot[], before: ReadonlyMap<string, Tracks>) {
  const tracks = new Map<string, Tracks>();
  for (const { mid, person, kind } of slots) {
    const track = connection.getTransceivers().find((one) => one.mid === mid)?.receiver.track;
    if (!track) continue;
    const known = before.get(person)?.[kind];
    const stream = known?.getTracks()[0] === track ? known : new MediaStream([track]);
    tracks.set(person, { ...tracks.get(person), [kind]: stream });
  }
  return tracks;
}
