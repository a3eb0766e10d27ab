import { VERSION, type Commands } from '../api/contracts';
import type {
  Entry,
  Glimpse,
  Incoming,
  PollLive,
  Rights,
  RightsByStream,
  StreamPart,
  Timing,
  You,
} from '../api/shapes';
import { oncePerFrame } from './frames';
import { Line, type Status } from './Line';
import type { Outcome, Pending } from './pending';
import { States } from './States';
import { kindOf, partOf, placeOfBoard, placeStream } from './streams';

/** A class, a lesson that one prepares, or a course. */
export type Scope = { sitting: string; unseen?: boolean } | { lesson: string } | { course: string };

/** Facts about the connection itself. */
export interface Connection {
  status: Status;
  you: You | null;
  /** What one may do, by stream. */
  rights: RightsByStream;
  timing: Timing | null;
  /** The last thing that went wrong, in a sentence. */
  trouble: { code: string; says: string; count: number } | null;
}

/** Refusals after which the same command may well succeed a little later. */
const PASSING = new Set(['too_fast', 'not_saved']);
const PASSES_IN = 1_000;
/** ms in which an answer to a trial of the connection must come. */
const TRIP_WITHIN = 2_000;

/** ms for which a page that was left still waits for answers. */
const RETIRES_WITHIN = 60_000;

/** Times of the server, the last so many that were told, by which its clock is known. */
const CLOCKS = 12;

/** What is said of sound and picture, or begins it. */
type StageMessage = Extract<
  Incoming,
  { t: 'welcome' | 'stage' | 'sending' | 'sharing' | 'watching' | 'hearing' | 'link' | 'voice' | 'muted' }
>;

/**
 * One browser's side of the live protocol, free of any framework: keeps the state of every stream
 * it may read, shows its own edits at once, and after a cut takes up where it left off. Commands
 * that were not answered are sent again; the server never carries out the same one twice.
 */
export class LiveClient {
  /** Ms by which the server's clock is ahead of this device's. */
  skew = 0;
  private clocks: number[] = [];
  connection: Connection = { status: 'connecting', you: null, rights: {}, timing: null, trouble: null };

  /** How polls come along, by stream, as staff were last told. */
  private polls = new Map<string, PollLive>();
  private changed: () => void;
  private line: Line;
  private pending: Pending[] = [];
  private states = new States(
    (stream) => this.pending.filter((command) => command.stream === stream),
    () => this.connection.you,
  );
  private following: string[] = [];
  private retiring: ReturnType<typeof setTimeout> | undefined;
  private pongs: (() => void)[] = [];
  private stages = new Set<(message: StageMessage) => void>();
  private listeners = new Set<() => void>();
  private watchers = new Map<string, Set<(glimpses: Glimpse[]) => void>>();

  /**
   * @param scope what one looks at
   * @param open makes the socket; tests give their own
   * @param known whether the server still knows who one is; asked when it does not open a socket
   * @param perFrame tells of what is heard together, once for each picture that the screen shows
   */
  constructor(
    private scope: Scope,
    open?: () => WebSocket,
    known?: () => Promise<boolean>,
    perFrame: (act: () => void) => () => void = oncePerFrame,
  ) {
    this.changed = perFrame(() => this.listeners.forEach((listener) => listener()));
    const ends = {
      onOpen: () => this.line.say({ t: 'hello', v: VERSION, ...this.scope, seen: this.states.heads() }),
      onMessage: (text: string) => this.listen(text),
      onStatus: (status: Status) => this.tell({ status }),
      onStranger: () => this.notice('sign_in', 'You are signed out here. Sign in again, or come back by your link.'),
    };
    this.line = new Line(ends, open, known);
    this.line.start();
  }

  /** @returns what to show of a stream, own unanswered edits included; undefined while unknown */
  view<State>(stream: string): State | undefined {
    return this.states.shown(stream) as State | undefined;
  }

  /** @returns a stream as the server has it, without own unanswered edits; undefined while unknown */
  confirmed<State>(stream: string): State | undefined {
    return this.states.confirmed(stream) as State | undefined;
  }

  /** @returns number of the last entry that is known of a stream; undefined while it is unknown */
  head = (stream: string): number | undefined => this.states.head(stream);

  /** @returns how a poll comes along, as staff were last told; undefined while they were not */
  pollLive = (stream: string): PollLive | undefined => this.polls.get(stream);

  /** @returns what one may do on a stream: as told of itself, or of the place that it belongs to */
  rightsOn(stream: string): Rights | undefined {
    const { rights } = this.connection;
    if (rights[stream] || !('sitting' in this.scope)) return rights[stream];
    return rights[placeStream(this.scope.sitting, kindOf(stream) === 'board' ? placeOfBoard(stream) : partOf(stream))];
  }

  /** @returns names of all streams that can be read */
  names(): string[] {
    return this.states.names();
  }

  /** Calls back whenever anything is different; the answer stops that. */
  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  /** Calls back with the passing things of a stream: pointers, strokes being drawn, typing. */
  watch(stream: string, watcher: (glimpses: Glimpse[]) => void) {
    const watchers = this.watchers.get(stream) ?? new Set();
    this.watchers.set(stream, watchers.add(watcher));
    return () => void watchers.delete(watcher);
  }

  /** Gives a command. The promise is kept when the server has answered, however long that takes. */
  do<Name extends keyof Commands>(name: Name, stream: string, input: Commands[Name]): Promise<Outcome> {
    return new Promise((settle) => {
      const command = { id: newId(), name, stream, input, at: Date.now(), sent: false, settle };
      this.pending.push(command);
      this.send(command);
      this.reshow(stream);
    });
  }

  /** Lets others glimpse something that will not be kept. Dropped while not connected. */
  now(stream: string, kind: Glimpse['kind'], body: Record<string, unknown>) {
    if (this.connection.status === 'open') this.line.say({ t: 'now', stream, kind, body });
  }

  /**
   * Looks at boards that one may read and is not told of by itself.
   * @param streams all that are looked at from now on
   */
  follow(streams: string[]) {
    this.following = streams;
    if (this.connection.status === 'open') this.line.say({ t: 'follow', streams });
  }

  /**
   * How long the way to the server and back takes: asks a few times, one after the other.
   * @returns ms of each answer; null for what was not answered in time
   */
  async roundTrips(times: number): Promise<(number | null)[]> {
    const trips: (number | null)[] = [];
    for (let i = 0; i < times; i++) trips.push(await this.roundTrip());
    return trips;
  }

  private roundTrip(): Promise<number | null> {
    const from = performance.now();
    return new Promise((settle) => {
      const back = () => {
        clearTimeout(late);
        settle(performance.now() - from);
      };
      const late = setTimeout(() => {
        this.pongs = this.pongs.filter((one) => one !== back);
        settle(null);
      }, TRIP_WITHIN);
      this.pongs.push(back);
      this.line.say({ t: 'ping' });
    });
  }

  /** Says something of sound and picture, see docs/protocol.md. Dropped while not connected: all is begun anew after that. */
  sayStage(facts: Record<string, unknown>) {
    if (this.connection.status === 'open') this.line.say({ t: 'stage', ...facts });
  }

  /** Calls back with what is said of sound and picture, and when a connection begins; the answer stops that. */
  hearStage(heard: (message: StageMessage) => void) {
    this.stages.add(heard);
    return () => void this.stages.delete(heard);
  }

  /** Says goodbye, so that no seat is kept. */
  leave() {
    this.line.say({ t: 'bye' });
    this.close();
  }

  /**
   * Ends the connection because the page that it was for goes: first what is given while it goes (fields save what was typed into them), and
   * then, once all is answered, or cannot be for a while.
   */
  retire() {
    this.retiring = setTimeout(() => this.close(), RETIRES_WITHIN);
    setTimeout(() => this.retireIfDone());
  }

  private retireIfDone() {
    if (this.retiring === undefined || this.pending.length > 0) return;
    clearTimeout(this.retiring);
    this.close();
  }

  /** Ends the connection; the server keeps the seat for a while. */
  close() {
    this.line.close();
  }

  /** Tells of something that went wrong, also when the server was not asked at all. */
  notice(code: string, says: string) {
    this.tell({ trouble: { code, says, count: (this.connection.trouble?.count ?? 0) + 1 } });
  }

  private send(command: Pending) {
    if (this.connection.status !== 'open') return;
    const { id, name, stream, input, sent } = command;
    this.line.say({ t: 'do', id, do: name, stream, with: input, ...(sent ? { again: true } : {}) });
    command.sent = true;
  }

  /** What cannot be made sense of is passed over: the page goes on, and tells that it may be old. */
  private listen(text: string) {
    try {
      this.hear(JSON.parse(text) as Incoming);
    } catch (error) {
      console.error('A message was passed over', error);
      this.notice(
        'odd',
        'This page did not understand something that was sent to it. If anything looks wrong, load it again.',
      );
    }
  }

  private hear(message: Incoming) {
    switch (message.t) {
      case 'welcome':
        this.welcome(message.you, message.rights, message.streams);
        return this.stages.forEach((heard) => heard(message));
      case 'stage':
      case 'sending':
      case 'sharing':
      case 'watching':
      case 'hearing':
      case 'link':
      case 'voice':
      case 'muted':
        return this.stages.forEach((heard) => heard(message));
      case 'entry':
        return this.take(message.stream, [message]);
      case 'now':
        return this.watchers.get(message.stream)?.forEach((watcher) => watcher(message.all));
      case 'done':
        return this.settle(message.id, { ok: true });
      case 'refused':
        return this.refused(message.id, message.code, message.says);
      case 'gained':
        this.learn(message);
        return this.changed();
      case 'lost':
        this.states.forget(message.stream);
        return message.says ? this.notice('lost', message.says) : this.changed();
      case 'rights':
        return this.tell({ rights: message.rights });
      case 'timing':
        this.clocks = [...this.clocks, message.timing.at - Date.now()].slice(-CLOCKS);
        // What was longest on its way knows least of the time.
        this.skew = Math.max(...this.clocks);
        return this.tell({ timing: message.timing });
      case 'results':
        this.polls.set(message.stream, message.live);
        return this.changed();
      case 'pong':
        return void this.pongs.shift()?.();
      case 'error':
        return this.fault(message);
    }
  }

  private welcome(you: You, rights: RightsByStream, parts: StreamPart[]) {
    this.states.keep(new Set(parts.map(({ stream }) => stream)));
    this.tell({ you, rights });
    this.line.welcomed();
    parts.forEach((part) => this.learnOne(part));
    if (this.following.length > 0) this.line.say({ t: 'follow', streams: this.following });
    this.pending.forEach((command) => this.send(command));
  }

  /** One stream that makes no sense takes none of the others along. */
  private learnOne(part: StreamPart) {
    try {
      this.learn(part);
    } catch (error) {
      console.error(`${part.stream} was passed over`, error);
      this.states.forget(part.stream);
      this.notice('odd', 'Part of this page cannot be shown. Load it again in a moment.');
    }
  }

  private learn(part: StreamPart) {
    if (part.view === undefined) this.take(part.stream, part.entries ?? []);
    else this.states.begin(part);
  }

  private take(stream: string, entries: Entry[]) {
    this.states.take(stream, entries).forEach(({ cmd }) => this.settle(cmd, { ok: true }));
    this.changed();
  }

  private refused(id: string, code: string, says: string) {
    const command = this.pending.find((candidate) => candidate.id === id);
    if (!command) return;
    if (PASSING.has(code)) return this.line.later(PASSES_IN, () => this.send(command));
    this.settle(id, { ok: false, code, says });
    this.notice(code, says);
  }

  private settle(id: string | null | undefined, outcome: Outcome) {
    const index = this.pending.findIndex((candidate) => candidate.id === id);
    if (index < 0) return;
    const [command] = this.pending.splice(index, 1);
    this.reshow(command!.stream);
    command!.settle(outcome);
    this.retireIfDone();
  }

  private fault({ id, code, says }: { id?: string; code: string; says: string }) {
    if (id !== undefined && this.pending.some((command) => command.id === id)) return this.refused(id, code, says);
    // Before the welcome this is the end of it: no link, no such class, an old page; also when it comes after a cut.
    if (this.connection.status !== 'open') this.line.refuse();
    this.notice(code, says);
  }

  private reshow(stream: string) {
    this.states.show(stream);
    this.changed();
  }

  private tell(facts: Partial<Connection>) {
    this.connection = { ...this.connection, ...facts };
    this.changed();
  }
}

/** @returns a fresh id for a command, mark or post */
export function newId(): string {
  return crypto.randomUUID().replaceAll('-', '').slice(0, 20);
}
