import type { Incoming, OnStage, Relay, StageLink, StageSlot } from '../api/shapes';
import type { LiveClient } from '../live/LiveClient';
import { goneWords, open, troubleWith, type AnyDevice, type Device } from './devices';
import { linkOf, MEASURE_EVERY, Measuring, Steady } from './link';
import type { Shared } from './screen';
import type { Made } from './simulated';

type Told = Extract<
  Incoming,
  { t: 'stage' | 'sending' | 'sharing' | 'watching' | 'hearing' | 'link' | 'voice' | 'muted' | 'welcome' }
>;

/** What somebody sends, as it arrives here. */
export interface Tracks {
  audio?: MediaStream;
  video?: MediaStream;
}

export interface StageState {
  /** Whether the media server is there; null until it was told. */
  up: boolean | null;
  /** The place one is heard and seen in. */
  place: string | null;
  people: OnStage[];
  /** Who speaks just now. */
  speaking: ReadonlySet<string>;
  tracks: ReadonlyMap<string, Tracks>;
  /** Who hears what is said here without being here. */
  heardBy: string[];
  /** Another place that one hears. */
  hears: string | null;
  /** What is heard of it. */
  overheard: ReadonlyMap<string, Tracks>;
  /** What one sends oneself; a switch that was pressed is `wanted` until the device is there. */
  microphone: 'off' | 'wanted' | 'on';
  camera: 'off' | 'wanted' | 'on';
  /** One's own screen, while one shares it. */
  screen: MediaStream | null;
  /** One's own picture. */
  own: MediaStream | null;
  /** Which device could not be used, and why. */
  trouble: { device: Device; says: string } | null;
  /** Whether the browser holds the sound back until something was pressed. */
  held: boolean;
  /** Who has switched one's microphone off, until one switches it on. */
  muted: string | null;
  /** How one's connection stands, and, for those who teach, whose is not good. */
  link: StageLink;
  links: ReadonlyMap<string, StageLink>;
  /** Whether one wishes to be sent no pictures. */
  soundOnly: boolean;
  /** Whether a connection broke and is made anew. */
  again: boolean;
  /** Goes up when one hears by another speaker. */
  speaker: number;
  says: string | null;
}

const NOTHING: StageState = {
  up: null,
  place: null,
  people: [],
  speaking: new Set(),
  tracks: new Map(),
  heardBy: [],
  hears: null,
  overheard: new Map(),
  microphone: 'off',
  camera: 'off',
  screen: null,
  own: null,
  trouble: null,
  held: false,
  muted: null,
  link: 'good',
  links: new Map(),
  soundOnly: false,
  again: false,
  speaker: 0,
  says: null,
};

/** Under what this browser keeps that it is sent no pictures. */
export const SOUND_ONLY = 'veranda.sound_only';

const KINDS = { microphone: 'audio', camera: 'video' } as const;
/** ms for which a device is kept open after it was let go of for a moment, so that it is there at once. */
const WARM = 15_000;
/** ms until a connection that broke is made anew, and in which it may come back by itself. */
const AGAIN = 1_000;
const MENDS = 3_000;
const BROKEN = new Set<RTCPeerConnectionState>(['disconnected', 'failed']);

/** One's connections: what one sends, what one is sent, one's screen, and another place that one hears. */
type Side = 'sending' | 'watching' | 'screen' | 'hearing';

/** @returns which of what arrives is whose */
function sorted(connection: RTCPeerConnection, slots: StageSlot[], before: ReadonlyMap<string, Tracks>) {
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

/**
 * Sound and picture of one page: one connection by which it sends, one by which it is sent all else. What it may send is decided by the
 * server, which stops the rest; here it is only asked for. Whatever breaks is made anew.
 */
export class Stage {
  state: StageState = { ...NOTHING, soundOnly: localStorage.getItem(SOUND_ONLY) !== null };

  private listeners = new Set<() => void>();
  private epoch = 0;
  private relays: Relay[] = [];
  private sending: RTCPeerConnection | null = null;
  private watching: RTCPeerConnection | null = null;
  private sharing: RTCPeerConnection | null = null;
  private ear: { number: number; connection: RTCPeerConnection } | null = null;
  private shared: Shared | null = null;
  private made: Partial<Record<Device, Made>> = {};
  private warm: { made: Made; timer: ReturnType<typeof setTimeout> } | null = null;
  private off: () => void;
  private measuring = new Measuring();
  private steady = new Steady();
  private timer: ReturnType<typeof setInterval>;

  /**
   * @param live by which all is agreed on
   * @param name of whoever is here, for what is simulated
   */
  constructor(
    private live: LiveClient,
    private name: string,
  ) {
    this.off = live.hearStage((message) => this.hear(message));
    window.addEventListener('online', this.woken);
    document.addEventListener('visibilitychange', this.woken);
    this.timer = setInterval(() => void this.measure().catch(this.passed), MEASURE_EVERY);
    this.come();
  }

  private come() {
    this.live.sayStage({ act: 'come' });
    if (this.state.soundOnly) this.live.sayStage({ act: 'sound_only', on: true });
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  close() {
    this.off();
    clearInterval(this.timer);
    window.removeEventListener('online', this.woken);
    document.removeEventListener('visibilitychange', this.woken);
    this.drop();
    // What is being opened just now is let go of as soon as it is there.
    this.tell({ microphone: 'off', camera: 'off' });
    Object.values(this.made).forEach((made) => made.stop());
    this.taken()?.stop();
    this.unshare();
  }

  /**
   * Switches a device on or off; it is opened when it is first wanted, and let go of when it is off.
   * @param soonAgain whether it may be wanted again in a moment: then it is kept open for that long, and nothing of it is sent
   */
  async set(device: Device, on: boolean, soonAgain = false) {
    if (!on) return this.switchOff(device, soonAgain);
    this.tell({ [device]: 'wanted', trouble: null, ...(device === 'microphone' && { muted: null }) });
    try {
      const made = (device === 'microphone' && this.taken()) || (await open(device, this.name));
      // Another press may have come first.
      if (this.state[device] !== 'wanted') return made.stop();
      this.made[device] = made;
      made.track.onended = () => {
        this.switchOff(device);
        this.tell({ trouble: { device, says: goneWords(device) } });
      };
    } catch (error) {
      return this.tell({ [device]: 'off', trouble: { device, says: troubleWith(device, error) } });
    }
    this.tell({ [device]: 'on', ...(device === 'camera' && { own: new MediaStream([this.made.camera!.track]) }) });
    await this.put(device);
    this.live.sayStage({ act: 'switch', switch: device, on: true });
  }

  /**
   * Sends a screen that one has chosen, in place of the one before. Whether everybody sees it the server says.
   * @param onEnded somebody has ended it by the browser's own means
   */
  share(shared: Shared, onEnded: () => void) {
    this.unshare();
    this.shared = shared;
    shared.picture.onended = onEnded;
    this.tell({ screen: new MediaStream([shared.picture]) });
    void this.sendScreen().catch(this.passed);
  }

  unshare() {
    this.sharing?.close();
    this.sharing = null;
    this.shared?.stop();
    this.shared = null;
    this.tell({ screen: null });
  }

  /** Everybody keeps the last picture, or sees again what happens. */
  async pause(on: boolean) {
    const { shared, sharing } = this;
    if (!shared) return;
    const track = on ? await shared.still() : shared.live();
    await sharing
      ?.getSenders()
      .find((sender) => sender.track?.kind === 'video')
      ?.replaceTrack(track);
    this.tell({ screen: new MediaStream([track]) });
  }

  /** Of more pictures than are sent at once, those of these people are. */
  lookAt(people: string[]) {
    this.live.sayStage({ act: 'look_at', people });
  }

  /** On a weak connection sound comes first, and nothing else. */
  hearOnly(on: boolean) {
    this.tell({ soundOnly: on });
    this.live.sayStage({ act: 'sound_only', on });
  }

  /** Hears another place without going there, or none. Those inside are told. */
  overhear(place: string | null) {
    this.dropEar();
    this.live.sayStage({ act: 'overhear', ...(place && { place }) });
  }

  /** Another device was chosen: what is on goes on with that one. */
  async change(device: AnyDevice) {
    if (device === 'speaker') return this.tell({ speaker: this.state.speaker + 1 });
    if (this.state[device] === 'off') return;
    this.switchOff(device);
    await this.set(device, true);
  }

  /** One is heard and seen by this window again, and not by another. */
  takeBack() {
    this.live.sayStage({ act: 'anew' });
  }

  /** One goes on without a device that could not be used. */
  without() {
    this.tell({ trouble: null });
  }

  /** Sound that a browser holds back may be heard once something was pressed. */
  release() {
    this.tell({ held: false });
  }

  hold() {
    this.tell({ held: true });
  }

  private switchOff(device: Device, soonAgain = false) {
    this.live.sayStage({ act: 'switch', switch: device, on: false });
    const made = this.made[device];
    delete this.made[device];
    if (made && soonAgain) this.rest(made);
    else made?.stop();
    this.tell({ [device]: 'off', ...(device === 'camera' && { own: null }) });
    void this.sender(device)?.replaceTrack(null);
  }

  private rest(made: Made) {
    this.taken()?.stop();
    this.warm = { made, timer: setTimeout(() => this.taken()?.stop(), WARM) };
  }

  /** @returns what was kept open, which is kept no more */
  private taken(): Made | null {
    const { made, timer } = this.warm ?? { made: null, timer: undefined };
    clearTimeout(timer);
    this.warm = null;
    return made;
  }

  private hear(message: Told) {
    switch (message.t) {
      case 'welcome':
        // The server has forgotten what it knew of this page.
        this.drop();
        return this.come();
      case 'stage':
        return this.learn(message);
      case 'sending':
        if (message.epoch === this.epoch)
          void this.sending?.setRemoteDescription({ type: 'answer', sdp: message.sdp }).catch(this.passed);
        return;
      case 'sharing':
        if (message.epoch === this.epoch)
          void this.sharing?.setRemoteDescription({ type: 'answer', sdp: message.sdp }).catch(this.passed);
        return;
      case 'watching':
        if (message.epoch === this.epoch) void this.watch(message.sdp, message.slots).catch(this.passed);
        return;
      case 'hearing':
        return void this.listen(message).catch(this.passed);
      case 'voice':
        return this.speaks(message.person, message.on);
      case 'link':
        return this.linked(message.person, message.link);
      case 'muted':
        this.switchOff('microphone');
        return this.tell({ muted: message.by });
    }
  }

  private learn({ up, epoch, place, people, speaking, heard_by, hears, relays, says }: Extract<Told, { t: 'stage' }>) {
    const anew = epoch !== this.epoch;
    if (anew || !up || !place) this.drop();
    // Another window has taken over, and its devices with it.
    if (says && !place)
      (['microphone', 'camera'] as const).forEach((device) => this.state[device] !== 'off' && this.switchOff(device));
    this.epoch = epoch;
    this.relays = relays;
    if (says && !place) this.unshare();
    if (!hears) this.dropEar();
    this.tell({ up, place, people, speaking: new Set(speaking), heardBy: heard_by, hears, says: says ?? null });
    // Somebody took what one had: it is seen, and one begins anew.
    if (anew && place && (this.made.microphone || this.made.camera)) void this.send().catch(this.passed);
    if (anew && place && this.shared) void this.sendScreen().catch(this.passed);
  }

  /** After a sleep, or on another network: what broke meanwhile is made anew at once. */
  private woken = () => {
    const broken = [this.sending, this.watching, this.sharing, this.ear?.connection].some(
      (one) => one && BROKEN.has(one.connectionState),
    );
    if (broken && document.visibilityState === 'visible') this.live.sayStage({ act: 'anew' });
  };

  /** How the connection stands is told again and again while it is not good, so that whoever comes later learns it too. */
  private async measure() {
    const measured = this.watching && (await this.measuring.take([this.watching]));
    if (!measured) return;
    const before = this.steady.link;
    const link = this.steady.take(linkOf(measured));
    if (link !== before) this.tell({ link });
    if (link !== before || link !== 'good') this.live.sayStage({ act: 'link', link });
  }

  private linked(person: string, link: StageLink) {
    const links = new Map(this.state.links);
    if (link === 'good') links.delete(person);
    else links.set(person, link);
    this.tell({ links });
  }

  private speaks(person: string, on: boolean) {
    const speaking = new Set(this.state.speaking);
    if (on) speaking.add(person);
    else speaking.delete(person);
    this.tell({ speaking });
  }

  /** A connection was closed while something was agreed on for it: the next one is under way. */
  private passed = (error: unknown) => console.warn('Sound and picture were begun anew meanwhile', error);

  private async put(device: Device) {
    const sender = this.sender(device);
    if (!sender) return this.send();
    await sender.replaceTrack(this.made[device]?.track ?? null);
  }

  private sender = (device: Device): RTCRtpSender | undefined =>
    this.sending?.getTransceivers().find(({ mid, receiver }) => mid !== null && receiver.track.kind === KINDS[device])
      ?.sender;

  /** Offers to send sound and picture; what is not there yet is put in later without asking again. */
  private async send() {
    if (!this.state.place) return;
    this.sending?.close();
    const connection = (this.sending = this.connection('sending', () => void this.send().catch(this.passed)));
    for (const device of ['microphone', 'camera'] as const)
      connection.addTransceiver(this.made[device]?.track ?? KINDS[device], { direction: 'sendonly' });
    await connection.setLocalDescription();
    if (connection !== this.sending) return;
    this.live.sayStage({ act: 'send', sdp: connection.localDescription!.sdp });
    (['microphone', 'camera'] as const)
      .filter((device) => this.made[device])
      .forEach((device) => this.live.sayStage({ act: 'switch', switch: device, on: true }));
  }

  private async sendScreen() {
    if (!this.state.place || !this.shared) return;
    this.sharing?.close();
    const connection = (this.sharing = this.connection('screen', () => void this.sendScreen().catch(this.passed)));
    this.shared.tracks().forEach((track) => connection.addTransceiver(track, { direction: 'sendonly' }));
    await connection.setLocalDescription();
    if (connection === this.sharing) this.live.sayStage({ act: 'share', sdp: connection.localDescription!.sdp });
  }

  private async watch(sdp: string, slots: StageSlot[]) {
    const connection = (this.watching ??= this.connection('watching', () => this.live.sayStage({ act: 'anew' })));
    if (!(await this.answer(connection, sdp, () => connection === this.watching))) return;
    this.live.sayStage({ act: 'answer', sdp: connection.localDescription!.sdp });
    this.tell({ tracks: sorted(connection, slots, this.state.tracks) });
  }

  private async listen({ ear: number, sdp, slots }: Extract<Told, { t: 'hearing' }>) {
    if (this.ear?.number !== number) {
      this.dropEar();
      this.ear = { number, connection: this.connection('hearing', () => this.overhear(this.state.hears)) };
    }
    const { connection } = this.ear!;
    if (!(await this.answer(connection, sdp, () => connection === this.ear?.connection))) return;
    this.live.sayStage({ act: 'answer', side: 'hearing', sdp: connection.localDescription!.sdp });
    this.tell({ overheard: sorted(connection, slots, this.state.overheard) });
  }

  /** @returns whether it still counts once it is there */
  private async answer(connection: RTCPeerConnection, sdp: string, counts: () => boolean): Promise<boolean> {
    await connection.setRemoteDescription({ type: 'offer', sdp });
    await connection.setLocalDescription();
    return counts();
  }

  private connection(side: Side, anew: () => void) {
    const connection = new RTCPeerConnection({ iceServers: this.relays });
    connection.onicecandidate = ({ candidate }) =>
      this.live.sayStage({ act: 'candidate', side, with: candidate?.toJSON() ?? {} });
    connection.onconnectionstatechange = () => {
      const now = () =>
        connection ===
        { sending: this.sending, watching: this.watching, screen: this.sharing, hearing: this.ear?.connection }[side];
      if (!now()) return;
      if (connection.connectionState === 'connected') this.tell({ again: false });
      if (!BROKEN.has(connection.connectionState)) return;
      this.tell({ again: true });
      // What comes back by itself within a moment is left alone.
      const wait = connection.connectionState === 'failed' ? AGAIN : MENDS;
      setTimeout(() => now() && BROKEN.has(connection.connectionState) && anew(), wait);
    };
    return connection;
  }

  private drop() {
    this.sending?.close();
    this.watching?.close();
    this.sharing?.close();
    this.sending = this.watching = this.sharing = null;
    this.tell({ tracks: new Map(), again: false });
    this.dropEar();
  }

  private dropEar() {
    this.ear?.connection.close();
    this.ear = null;
    if (this.state.overheard.size > 0) this.tell({ overheard: new Map() });
  }

  private tell(facts: Partial<StageState>) {
    this.state = { ...this.state, ...facts };
    this.listeners.forEach((listener) => listener());
  }
}
