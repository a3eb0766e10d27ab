import { get } from '../api/http';
import type { Session } from '../api/shapes';

/** `connecting` and `reconnecting` last until the server has welcomed one; `refused` is for good. */
export type Status = 'connecting' | 'open' | 'reconnecting' | 'refused';

const PING_EVERY = 15_000;
/** A connection on which nothing is heard for this long after a ping is dead, though nobody has said so. */
const PONG_WITHIN = 10_000;
/** A server that has not welcomed one within this, however busy it is, has most likely lost the hello. */
const WELCOME_WITHIN = 20_000;
const RETRY_FIRST = 400;
const RETRY_MOST = 8_000;

/** What whoever speaks over a line wants to know of it. */
interface Ends {
  /** The other end is there: time to say who one is. */
  onOpen: () => void;
  onMessage: (text: string) => void;
  onStatus: (status: Status) => void;
  /** The server does not know who one is any more. */
  onStranger: () => void;
}

/**
 * One connection to the server, kept up: opened, watched, and opened anew after a cut, soon at first and then less often.
 * Knows nothing of what is said over it but pings.
 */
export class Line {
  status: Status = 'connecting';

  private socket: WebSocket | null = null;
  private retry = RETRY_FIRST;
  private heard = false;
  private timers = new Set<ReturnType<typeof setTimeout>>();
  private closed = false;

  /**
   * @param open makes the socket; tests give their own
   * @param known whether the server still knows who one is; asked when it does not open a socket
   */
  constructor(
    private ends: Ends,
    private open: () => WebSocket = () => new WebSocket(`${location.origin.replace(/^http/, 'ws')}/live`),
    private known: () => Promise<boolean> = signedIn,
  ) {}

  /** Opens it for the first time. */
  start() {
    this.connect();
    document.addEventListener('visibilitychange', this.wake);
    window.addEventListener('online', this.wake);
  }

  /** Dropped while there is no connection. */
  say(message: object) {
    if (this.socket?.readyState === WebSocket.OPEN) this.socket.send(JSON.stringify(message));
  }

  /** The server has welcomed one. */
  welcomed() {
    this.retry = RETRY_FIRST;
    this.is('open');
  }

  /** The server will not have one here: trying again would not help. */
  refuse() {
    this.rest();
    this.is('refused');
  }

  close() {
    this.closed = true;
    this.rest();
    this.socket?.close();
    document.removeEventListener('visibilitychange', this.wake);
    window.removeEventListener('online', this.wake);
  }

  /** Does something later, unless the connection is lost before. */
  later(ms: number, act: () => void) {
    const timer = setTimeout(() => {
      this.timers.delete(timer);
      act();
    }, ms);
    this.timers.add(timer);
  }

  private connect() {
    const socket = this.open();
    let opened = false;
    this.socket = socket;
    socket.onopen = () => {
      opened = true;
      this.ends.onOpen();
      this.later(PING_EVERY, () => this.beat());
      this.later(WELCOME_WITHIN, () => this.status === 'open' || this.drop());
    };
    socket.onmessage = ({ data }) => {
      if (socket !== this.socket) return;
      this.heard = true;
      this.ends.onMessage(data as string);
    };
    socket.onclose = () => {
      if (socket !== this.socket) return;
      this.lose();
      if (!opened) void this.ask();
    };
  }

  /** Whoever is signed out, or was never in, is told so. */
  private async ask() {
    if (await this.known().catch(() => true)) return;
    if (this.closed || this.status === 'open') return;
    this.refuse();
    this.ends.onStranger();
  }

  /** Browsers let hidden pages and sleeping machines fall behind: once one is back, a dead connection is not waited for. */
  private wake = () => {
    if (document.visibilityState === 'hidden' || this.closed) return;
    if (this.status === 'open') return this.ping();
    if (this.status === 'refused' || (this.socket && this.socket.readyState <= WebSocket.OPEN)) return;
    this.rest();
    this.retry = RETRY_FIRST;
    this.connect();
  };

  private rest() {
    this.timers.forEach(clearTimeout);
    this.timers.clear();
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
    if (this.closed || this.status === 'refused') return;
    this.rest();
    this.is('reconnecting');
    // Spread out, so that a whole class does not come back in the same instant.
    this.later(this.retry * (0.7 + 0.6 * Math.random()), () => this.connect());
    this.retry = Math.min(this.retry * 1.8, RETRY_MOST);
  }

  private is(status: Status) {
    this.status = status;
    this.ends.onStatus(status);
  }
}

async function signedIn(): Promise<boolean> {
  const session = await get<Session>('/api/session');
  return session.person !== null;
}
