import type { Incoming, StageLink, StageSlot } from '../api/shapes';
import type { LiveClient } from '../live/LiveClient';
import { Connections, sorted } from './Connections';
import { goneWords, troubleWith, type AnyDevice, type Device } from './devices';
import { linkOf, MEASURE_EVERY, Measuring, Steady } from './link';
import { OwnDevices } from './OwnDevices';
import type { Shared } from './screen';
import { NOTHING, type StageState } from './state';

type Told = Extract<
  Incoming,
  { t: 'stage' | 'sending' | 'sharing' | 'watching' | 'hearing' | 'link' | 'voice' | 'muted' | 'welcome' }
>;

/** Under what this browser keeps that it is sent no pictures. */
export const SOUND_ONLY = 'veranda.sound_only';

/** No beginning that a server tells of. */
const NONE = 0;

const BOTH = ['microphone', 'camera'] as const;
const KINDS = { microphone: 'audio', camera: 'video' } as const;

/**
 * Sound and picture of one page: one connection by which it sends, one by which it is sent all else. What it may send is decided by the
 * server, which stops the rest; here it is only asked for. Whatever breaks is made anew.
 */
export class Stage {
  state: StageState = { ...NOTHING, soundOnly: localStorage.getItem(SOUND_ONLY) !== null };

  private listeners = new Set<() => void>();
  private epoch = NONE;
  private connections: Connections;
  private devices: OwnDevices;
  /** The number under which one hears another place. */
  private ear: number | null = null;
  private shared: Shared | null = null;
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
    name: string,
  ) {
    this.connections = new Connections(live, (again) => this.tell({ again }));
    this.devices = new OwnDevices(name);
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
    this.devices.close();
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
      const made = await this.devices.open(device);
      // Another press may have come first.
      if (this.state[device] !== 'wanted') return made.stop();
      this.devices.use(device, made, () => {
        this.switchOff(device);
        this.tell({ trouble: { device, says: goneWords(device) } });
      });
    } catch (error) {
      return this.tell({ [device]: 'off', trouble: { device, says: troubleWith(device, error) } });
    }
    this.tell({
      [device]: 'on',
      ...(device === 'camera' && { own: new MediaStream([this.devices.track('camera')!]) }),
    });
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
    this.connections.close('screen');
    this.shared?.stop();
    this.shared = null;
    this.tell({ screen: null });
  }

  /** Everybody keeps the last picture, or sees again what happens. */
  async pause(on: boolean) {
    const { shared } = this;
    const sharing = this.connections.of('screen');
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
    this.devices.letGo(device, soonAgain);
    this.tell({ [device]: 'off', ...(device === 'camera' && { own: null }) });
    void this.sender(device)?.replaceTrack(null);
  }

  private hear(message: Told) {
    switch (message.t) {
      case 'welcome':
        // The server has forgotten what it knew of this page: whatever it tells next is of a new beginning.
        this.drop();
        this.epoch = NONE;
        return this.come();
      case 'stage':
        return this.learn(message);
      case 'sending':
        if (message.epoch === this.epoch) void this.connections.answered('sending', message.sdp).catch(this.passed);
        return;
      case 'sharing':
        if (message.epoch === this.epoch) void this.connections.answered('screen', message.sdp).catch(this.passed);
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
    if (says && !place) BOTH.forEach((device) => this.state[device] !== 'off' && this.switchOff(device));
    this.epoch = epoch;
    this.connections.relays = relays;
    if (says && !place) this.unshare();
    if (!hears) this.dropEar();
    this.tell({ up, place, people, speaking: new Set(speaking), heardBy: heard_by, hears, says: says ?? null });
    // Somebody took what one had: it is seen, and one begins anew.
    if (anew && place && BOTH.some(this.devices.track)) void this.send().catch(this.passed);
    if (anew && place && this.shared) void this.sendScreen().catch(this.passed);
  }

  /** After a sleep, or on another network: what broke meanwhile is made anew at once. */
  private woken = () => {
    if (this.connections.broken() && document.visibilityState === 'visible') this.live.sayStage({ act: 'anew' });
  };

  /** How the connection stands is told again and again while it is not good, so that whoever comes later learns it too. */
  private async measure() {
    const watching = this.connections.of('watching');
    const measured = watching && (await this.measuring.take([watching]));
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
    await sender.replaceTrack(this.devices.track(device));
  }

  private sender = (device: Device): RTCRtpSender | undefined =>
    this.connections
      .of('sending')
      ?.getTransceivers()
      .find(({ mid, receiver }) => mid !== null && receiver.track.kind === KINDS[device])?.sender;

  /** Offers to send sound and picture; what is not there yet is put in later without asking again. */
  private async send() {
    if (!this.state.place) return;
    const connection = this.connections.begin('sending', () => void this.send().catch(this.passed));
    BOTH.forEach((device) =>
      connection.addTransceiver(this.devices.track(device) ?? KINDS[device], { direction: 'sendonly' }),
    );
    const sdp = await this.connections.offer('sending', connection);
    if (sdp === null) return;
    this.live.sayStage({ act: 'send', sdp });
    BOTH.filter(this.devices.track).forEach((device) =>
      this.live.sayStage({ act: 'switch', switch: device, on: true }),
    );
  }

  private async sendScreen() {
    if (!this.state.place || !this.shared) return;
    const connection = this.connections.begin('screen', () => void this.sendScreen().catch(this.passed));
    this.shared.tracks().forEach((track) => connection.addTransceiver(track, { direction: 'sendonly' }));
    const sdp = await this.connections.offer('screen', connection);
    if (sdp !== null) this.live.sayStage({ act: 'share', sdp });
  }

  private async watch(offered: string, slots: StageSlot[]) {
    const connection =
      this.connections.of('watching') ?? this.connections.begin('watching', () => this.live.sayStage({ act: 'anew' }));
    const sdp = await this.connections.answer('watching', connection, offered);
    if (sdp === null) return;
    this.live.sayStage({ act: 'answer', sdp });
    this.tell({ tracks: sorted(connection, slots, this.state.tracks) });
  }

  private async listen({ ear, sdp: offered, slots }: Extract<Told, { t: 'hearing' }>) {
    if (this.ear !== ear) {
      this.dropEar();
      this.ear = ear;
    }
    const connection =
      this.connections.of('hearing') ?? this.connections.begin('hearing', () => this.overhear(this.state.hears));
    const sdp = await this.connections.answer('hearing', connection, offered);
    if (sdp === null) return;
    this.live.sayStage({ act: 'answer', side: 'hearing', sdp });
    this.tell({ overheard: sorted(connection, slots, this.state.overheard) });
  }

  private drop() {
    this.connections.close('sending', 'watching', 'screen');
    this.tell({ tracks: new Map(), again: false });
    this.dropEar();
  }

  private dropEar() {
    this.connections.close('hearing');
    this.ear = null;
    if (this.state.overheard.size > 0) this.tell({ overheard: new Map() });
  }

  private tell(facts: Partial<StageState>) {
    this.state = { ...this.state, ...facts };
    this.listeners.forEach((listener) => listener());
  }
}
