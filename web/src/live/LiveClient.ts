import { VERSION, type Commands } from '../api/contracts';
import { get } from '../api/http';
import { foldOf } from './folds';
import { oncePerFrame } from './frames';
import type { Outcome, Pending } from './pending';
import type { Entry, Glimpse, Incoming, Rights, RightsByStream, Session, StreamPart, Timing, You } from '../api/shapes';
import { kindOf, MAIN, partOf, placeStream } from './streams';

export type Status = 'connecting' | 'open' | 'reconnecting' | 'refused';

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

interface Stream {
  head: number;
  confirmed: unknown;
  shown: unknown;
}

const PING_EVERY = 15_000;
/** A connection on which nothing is heard for this long after a ping is dead, though nobody has said so. */
const PONG_WITHIN = 10_000;
const RETRY_FIRST = 400;
const RETRY_MOST = 8_000;
/** Refusals after which the same command may well succeed a little later. */
const PASSING = new Set(['too_fast', 'not_saved']);

/**
 * One browser's side of the live protocol, free of any framework: keeps the state of every stream
 * it may read, shows its own edits at once, and after a cut takes up where it left off. Commands
 * that were not answered are sent again; the server never carries out the same one twice.
 */
export class LiveClient {
  /** Ms by which the server's clock is ahead of this device's. */
  skew = 0;
  connection: Connection = { status: 'connecting', you: null, rights: {}, timing: null, trouble: null };

  private changed: () => void;
  private streams = new Map<string, Stream>();
  private pending: Pending[] = [];
  private listeners = new Set<() => void>();
  private watchers = new Map<string, Set<(glimpses: Glimpse[]) => void>>();
  private socket: WebSocket | null = null;
  private retry = RETRY_FIRST;
  private heard = false;
  private timers = new Set<ReturnType<typeof setTimeout>>();
  private closed = false;

  /**
   * @param scope the class, or the lesson to prepare
   * @param open makes the socket; tests give their own
   * @param known whether the server still knows who one is; asked when it does not open a socket
   * @param perFrame tells of what is heard together, once for each picture that the screen shows
   */
  constructor(
    private scope: { sitting: string } | { lesson: string },
    private open: () => WebSocket = () => new WebSocket(`${location.origin.replace(/^http/, 'ws')}/live`),
    private known: () => Promise<boolean> = signedIn,
    perFrame: (act: () => void) => () => void = oncePerFrame,
  ) {
    this.changed = perFrame(() => this.listeners.forEach((listener) => listener()));
    this.connect();
    document.addEventListener('visibilitychange', this.wake);
    window.addEventListener('online', this.wake);
  }

  /** @returns what to show of a stream, own unanswered edits included; undefined while unknown */
  view<State>(stream: string): State | undefined {
    return this.streams.get(stream)?.shown as State | undefined;
  }

  /** @returns what one may do on a stream: as told of itself, or of the place that it belongs to */
  rightsOn(stream: string): Rights | undefined {
    const { rights } = this.connection;
    if (rights[stream] || !('sitting' in this.scope)) return rights[stream];
    // Boards of a class lie in its main room.
    return rights[placeStream(this.scope.sitting, kindOf(stream) === 'board' ? MAIN : partOf(stream))];
  }

  /** @returns names of all streams that can be read */
  names(): string[] {
    return [...this.streams.keys()];
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
    if (this.connection.status === 'open') this.say({ t: 'now', stream, kind, body });
  }

  /** Says goodbye, so that no seat is kept. */
  leave() {
    this.say({ t: 'bye' });
    this.close();
  }

  /** Ends the connection; the server keeps the seat for a while. */
  close() {
    this.closed = true;
    this.rest();
    this.socket?.close();
    document.removeEventListener('visibilitychange', this.wake);
    window.removeEventListener('online', this.wake);
  }

  /** Tells of something that was not asked of the server at all. */
  notice(code: string, says: string) {
    this.trouble(code, says);
  }

  private connect() {
    const socket = this.open();
    let opened = false;
    this.socket = socket;
    socket.onopen = () => {
      opened = true;
      this.greet();
    };
    socket.onmessage = ({ data }) => {
      if (socket !== this.socket) return;
      this.heard = true;
      this.listen(data as string);
    };
    socket.onclose = () => {
      if (socket !== this.socket) return;
      this.lose();
      if (!opened) void this.ask();
    };
  }

  /** Whoever is signed out, or was never in, is told so; trying again would not help. */
  private async ask() {
    if (await this.known().catch(() => true)) return;
    if (this.closed || this.connection.status === 'open') return;
    this.rest();
    this.tell({ status: 'refused' });
    this.trouble('sign_in', 'You are signed out here. Sign in again, or come back by your link.');
  }

  /** Browsers let hidden pages and sleeping machines fall behind: once one is back, a dead connection is not waited for. */
  private wake = () => {
    if (document.visibilityState === 'hidden' || this.closed) return;
    const { status } = this.connection;
    if (status === 'open') return this.ping();
    if (status === 'refused' || (this.socket && this.socket.readyState <= WebSocket.OPEN)) return;
    this.rest();
    this.retry = RETRY_FIRST;
    this.connect();
  };

  private rest() {
    this.timers.forEach(clearTimeout);
    this.timers.clear();
  }

  private greet() {
    const seen = Object.fromEntries([...this.streams].map(([name, { head }]) => [name, head]));
    this.say({ t: 'hello', v: VERSION, ...this.scope, seen });
    this.later(PING_EVERY, () => this.beat());
  }

  private beat() {
    this.ping();
    this.later(PING_EVERY, () => this.beat());
  }

  private ping() {
    this.heard = false;
    this.say({ t: 'ping' });
    this.later(PONG_WITHIN, () => this.heard || this.drop());
  }

  /** The other end is gone without a word: what waits for it is told on a new connection. */
  private drop() {
    const dead = this.socket;
    this.socket = null;
    dead?.close();
    this.lose();
  }

  private lose() {
    if (this.closed || this.connection.status === 'refused') return;
    this.rest();
    this.tell({ status: 'reconnecting' });
    // Spread out, so that a whole class does not come back in the same instant.
    this.later(this.retry * (0.7 + 0.6 * Math.random()), () => this.connect());
    this.retry = Math.min(this.retry * 1.8, RETRY_MOST);
  }

  private later(ms: number, act: () => void) {
    const timer = setTimeout(() => {
      this.timers.delete(timer);
      act();
    }, ms);
    this.timers.add(timer);
  }

  private say(message: object) {
    if (this.socket?.readyState === WebSocket.OPEN) this.socket.send(JSON.stringify(message));
  }

  private send(command: Pending) {
    if (this.connection.status !== 'open') return;
    const { id, name, stream, input, sent } = command;
    this.say({ t: 'do', id, do: name, stream, with: input, ...(sent ? { again: true } : {}) });
    command.sent = true;
  }

  /** What cannot be made sense of is passed over: the page goes on, and tells that it may be old. */
  private listen(text: string) {
    try {
      this.hear(JSON.parse(text) as Incoming);
    } catch (error) {
      console.error('A message was passed over', error);
      this.trouble(
        'odd',
        'This page did not understand something that was sent to it. If anything looks wrong, load it again.',
      );
    }
  }

  private hear(message: Incoming) {
    switch (message.t) {
      case 'welcome':
        return this.welcome(message.you, message.rights, message.streams);
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
        return this.tell({});
      case 'lost':
        this.streams.delete(message.stream);
        return message.says ? this.trouble('lost', message.says) : this.changed();
      case 'rights':
        return this.tell({ rights: message.rights });
      case 'timing':
        this.skew = message.timing.at - Date.now();
        return this.tell({ timing: message.timing });
      case 'error':
        return this.fault(message);
    }
  }

  private welcome(you: You, rights: RightsByStream, parts: StreamPart[]) {
    this.retry = RETRY_FIRST;
    const readable = new Set(parts.map(({ stream }) => stream));
    for (const name of this.streams.keys()) if (!readable.has(name)) this.streams.delete(name);
    this.tell({ status: 'open', you, rights });
    parts.forEach((part) => this.learnOne(part));
    this.pending.forEach((command) => this.send(command));
    this.changed();
  }

  /** One stream that makes no sense takes none of the others along. */
  private learnOne(part: StreamPart) {
    try {
      this.learn(part);
    } catch (error) {
      console.error(`${part.stream} was passed over`, error);
      this.streams.delete(part.stream);
      this.trouble('odd', 'Part of this page cannot be shown. Load it again in a moment.');
    }
  }

  private learn({ stream, head, view, entries }: StreamPart) {
    if (view === undefined) return this.take(stream, entries ?? []);
    this.streams.set(stream, { head, confirmed: foldOf(stream).from(view), shown: undefined });
    this.reshow(stream);
  }

  private take(name: string, entries: Entry[]) {
    const stream = this.streams.get(name);
    if (!stream) return;
    const fold = foldOf(name);
    for (const entry of entries) {
      if (entry.seq <= stream.head) continue;
      stream.confirmed = fold.apply(stream.confirmed, entry);
      stream.head = entry.seq;
      this.settle(entry.cmd, { ok: true });
    }
    this.reshow(name);
  }

  private refused(id: string, code: string, says: string) {
    const command = this.pending.find((candidate) => candidate.id === id);
    if (!command) return;
    if (PASSING.has(code)) return this.later(1_000, () => this.send(command));
    this.settle(id, { ok: false, code, says });
    this.trouble(code, says);
  }

  private settle(id: string | null | undefined, outcome: Outcome) {
    const index = this.pending.findIndex((candidate) => candidate.id === id);
    if (index < 0) return;
    const [command] = this.pending.splice(index, 1);
    this.reshow(command!.stream);
    command!.settle(outcome);
  }

  private fault({ id, code, says }: { id?: string; code: string; says: string }) {
    if (id !== undefined && this.pending.some((command) => command.id === id)) return this.refused(id, code, says);
    // Before the welcome this is the end of it: no link, no such class, an old page; also when it comes after a cut.
    if (this.connection.status !== 'open') this.tell({ status: 'refused' });
    this.trouble(code, says);
  }

  private trouble(code: string, says: string) {
    this.tell({ trouble: { code, says, count: (this.connection.trouble?.count ?? 0) + 1 } });
  }

  private reshow(name: string) {
    const stream = this.streams.get(name);
    if (!stream) return;
    const { early } = foldOf(name);
    const { you } = this.connection;
    const own = early && you ? this.pending.filter((command) => command.stream === name) : [];
    stream.shown = own.reduce((shown, command) => early!(shown, command, you!), stream.confirmed);
    this.changed();
  }

  private tell(facts: Partial<Connection>) {
    this.connection = { ...this.connection, ...facts };
    this.changed();
  }
}

async function signedIn(): Promise<boolean> {
  const session = await get<Session>('/api/session');
  return session.person !== null;
}

/** @returns a fresh id for a command, mark or post */
export function newId(): string {
  return crypto.randomUUID().replaceAll('-', '').slice(0, 20);
}
