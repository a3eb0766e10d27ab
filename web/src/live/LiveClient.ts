import { VERSION, type Commands } from '../api/contracts';
import type { BoardState } from './board';
import { foldOf } from './folds';
import { withPending, type Outcome, type Pending } from './pending';
import type { Entry, Glimpse, Incoming, Rights, StreamPart, Timing, You } from './protocol';

export type Status = 'connecting' | 'open' | 'reconnecting' | 'refused';

/** Facts about the connection itself. */
export interface Connection {
  status: Status;
  you: You | null;
  rights: Rights | null;
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
  connection: Connection = { status: 'connecting', you: null, rights: null, timing: null, trouble: null };

  private streams = new Map<string, Stream>();
  private pending: Pending[] = [];
  private listeners = new Set<() => void>();
  private watchers = new Map<string, Set<(glimpses: Glimpse[]) => void>>();
  private socket: WebSocket | null = null;
  private retry = RETRY_FIRST;
  private timers = new Set<ReturnType<typeof setTimeout>>();
  private closed = false;

  /**
   * @param scope the class, or the lesson to prepare
   * @param open makes the socket; tests give their own
   */
  constructor(
    private scope: { sitting: string } | { lesson: string },
    private open: () => WebSocket = () => new WebSocket(`${location.origin.replace(/^http/, 'ws')}/live`),
  ) {
    this.connect();
  }

  /** @returns what to show of a stream, own unanswered edits included; undefined while unknown */
  view<State>(stream: string): State | undefined {
    return this.streams.get(stream)?.shown as State | undefined;
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
    this.timers.forEach(clearTimeout);
    this.socket?.close();
  }

  private connect() {
    const socket = this.open();
    this.socket = socket;
    socket.onopen = () => this.greet();
    socket.onmessage = ({ data }) => this.hear(JSON.parse(data as string) as Incoming);
    socket.onclose = () => this.lose();
  }

  private greet() {
    const seen = Object.fromEntries([...this.streams].map(([name, { head }]) => [name, head]));
    this.say({ t: 'hello', v: VERSION, ...this.scope, seen });
    this.later(PING_EVERY, () => this.ping());
  }

  private ping() {
    this.say({ t: 'ping' });
    this.later(PING_EVERY, () => this.ping());
  }

  private lose() {
    if (this.closed || this.connection.status === 'refused') return;
    this.timers.forEach(clearTimeout);
    this.timers.clear();
    this.tell({ status: this.connection.you ? 'reconnecting' : 'connecting' });
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
        return this.trouble('lost', message.says);
      case 'rights':
        return this.tell({ rights: message.rights });
      case 'timing':
        return this.tell({ timing: message.timing });
      case 'error':
        return this.fault(message.code, message.says);
    }
  }

  private welcome(you: You, rights: Rights, parts: StreamPart[]) {
    this.retry = RETRY_FIRST;
    const readable = new Set(parts.map(({ stream }) => stream));
    for (const name of this.streams.keys()) if (!readable.has(name)) this.streams.delete(name);
    this.tell({ status: 'open', you, rights });
    parts.forEach((part) => this.learn(part));
    this.pending.forEach((command) => this.send(command));
    this.changed();
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

  private settle(id: string | undefined, outcome: Outcome) {
    const index = this.pending.findIndex((candidate) => candidate.id === id);
    if (index < 0) return;
    const [command] = this.pending.splice(index, 1);
    this.reshow(command!.stream);
    command!.settle(outcome);
  }

  private fault(code: string, says: string) {
    // Before the welcome this is the end of it: no link, no such class, an old page.
    if (!this.connection.you) this.tell({ status: 'refused' });
    this.trouble(code, says);
  }

  private trouble(code: string, says: string) {
    this.tell({ trouble: { code, says, count: (this.connection.trouble?.count ?? 0) + 1 } });
  }

  private reshow(name: string) {
    const stream = this.streams.get(name);
    if (!stream) return;
    const own = this.pending.filter((command) => command.stream === name);
    stream.shown =
      own.length > 0 && name.startsWith('board/')
        ? withPending(stream.confirmed as BoardState, own, this.connection.you?.id ?? '')
        : stream.confirmed;
    this.changed();
  }

  private tell(facts: Partial<Connection>) {
    this.connection = { ...this.connection, ...facts };
    this.changed();
  }

  private changed() {
    this.listeners.forEach((listener) => listener());
  }
}

/** @returns a fresh id for a command, mark or post */
export function newId(): string {
  return crypto.randomUUID().replaceAll('-', '').slice(0, 20);
}
