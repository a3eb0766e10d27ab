import { get } from '../../api/http';
import { foldOf } from '../../live/folds';
import { boardStream } from '../../live/streams';
import { troubleOf } from './trouble';
import type { PointedBody, RecordedEntries, RecordedEntry, RecordedMoment, RecordedSeam } from '../../api/shapes';

interface PointerPath {
  board: string;
  page: string;
  by: string;
  at: number;
  path: number[];
}

/** A page that one looks at instead of the one on show; the first of its board where none is named. */
export interface Elsewhere {
  board: string;
  page: string | null;
}

/** Ms of entries fetched at once, and how early the next lot is fetched. */
const WINDOW = 120_000;
const AHEAD = 40_000;
const TICK = 50;
/** Shortest time between two seeks that are asked of the server. */
const SEEK_EVERY = 250;

/**
 * Plays a recording, free of any framework: asks the server for the state at a moment, then takes in
 * the entries that follow as their time comes, with the same folds as the live class.
 */
export class Recorder {
  time = 0;
  playing = false;
  speed = 1;
  trouble: string | null = null;
  /** The breakout room that is watched instead of the main room. */
  room: string | null = null;
  /** What one looks at instead of what was on show. */
  looking: Elsewhere | null = null;
  /** Goes up whenever anything is different. */
  version = 0;
  /** The time of day of the class, ms since the epoch, for strokes that grow. */
  wall = 0;

  private views = new Map<string, unknown>();
  private queue: (RecordedEntry | RecordedSeam)[] = [];
  private pointers: PointerPath[] = [];
  private fetchedTo = 0;
  /** The journey that more is being fetched for. */
  private fetching: number | null = null;
  private journey = 0;
  private arrived = 0;
  private wanted = 0;
  private resting: ReturnType<typeof setTimeout> | null = null;
  private timer: ReturnType<typeof setInterval> | null = null;
  private ticked = 0;
  private listeners = new Set<() => void>();

  constructor(
    private id: string,
    private length: number,
    /** What is left to see of the class, from and to in ms since the epoch. */
    private stretches: [number, number][],
    /** Ids of the boards that were recorded. */
    private boards: ReadonlySet<string> = new Set(),
  ) {}

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  /** @returns a stream as it was at this moment; undefined while that is not known, or when it is not recorded */
  view<State>(stream: string): State | undefined {
    return this.views.get(stream) as State | undefined;
  }

  /** Goes on with what is left of it after it was edited, where it is. */
  renew({ length, stretches }: { length: number; stretches: [number, number][] }) {
    const at = this.wall;
    this.length = length;
    this.stretches = stretches;
    this.seek(Math.min(this.timeOf(at), length));
  }

  /** @returns ms into the recording of a time of day */
  timeOf(at: number): number {
    return this.stretches.reduce((sum, [from, to]) => sum + Math.min(Math.max(at - from, 0), to - from), 0);
  }

  /** @returns the time of day, ms since the epoch, of a moment of the recording */
  wallOf(time: number): number {
    let left = time;
    for (const [from, to] of this.stretches) {
      if (left < to - from) return from + left;
      left -= to - from;
    }
    return this.stretches.at(-1)?.[1] ?? 0;
  }

  /** Where somebody pointed at this moment. */
  pointer(board: string, page: string): { x: number; y: number; by: string } | null {
    for (const trail of this.pointers.toReversed()) {
      if (trail.board !== board || trail.page !== page) continue;
      for (let i = 0; i < trail.path.length; i += 3) {
        const at = trail.at - trail.path[i]!;
        if (Math.abs(at - this.wall) < 120) return { x: trail.path[i + 1]!, y: trail.path[i + 2]!, by: trail.by };
      }
    }
    return null;
  }

  /** @returns names of the streams that are known at this moment */
  names = (): string[] => [...this.views.keys()];

  /** Watches a breakout room from this moment on, or the main room again. */
  watch = (room: string | null) => {
    if (room === this.room) return;
    this.room = room;
    this.looking = null;
    this.views = new Map();
    this.seek(this.time);
  };

  toggle = () => (this.playing ? this.pause() : this.play());

  setSpeed(speed: number) {
    this.speed = speed;
    this.changed();
  }

  /** Leaves what was on show for a page, while time goes on; null comes back. */
  look = (to: Elsewhere | null) => {
    this.looking = to && this.holds(to.board) ? to : null;
    this.changed();
    this.fetchMissing(this.looking?.board);
  };

  /** Goes to a moment, and looks at a page there. Of several quick calls, as from a hand that drags, only some are asked of the server, and the last in any case. */
  seek = (to: number, looking = this.looking) => {
    this.looking = looking && this.holds(looking.board) ? looking : null;
    this.time = this.wanted = to;
    this.journey++;
    this.changed();
    if (!this.resting) this.go();
  };

  private go() {
    const { wanted, journey } = this;
    this.resting = setTimeout(() => {
      this.resting = null;
      // Also for the same moment: what was asked for before is not waited for any more.
      if (this.journey !== journey) this.go();
    }, SEEK_EVERY);
    void this.arrive(wanted, journey);
  }

  stop() {
    this.pause();
    this.journey++;
    if (this.resting) clearTimeout(this.resting);
    this.resting = null;
  }

  /** Whether what is shown is not yet what was there at this moment. */
  get onItsWay() {
    return this.arrived !== this.journey;
  }

  /** Whether a board can be shown at all; staff's boards are in no recording. */
  holds(board: string) {
    return this.boards.has(board);
  }

  private async arrive(to: number, journey: number) {
    try {
      const [state, next] = await Promise.all([
        get<RecordedMoment>(`/api/recordings/${this.id}/at?t=${Math.round(to)}${this.inRoom}${this.besides}`),
        this.fetch(to),
      ]);
      if (journey !== this.journey) return;
      this.arrived = journey;
      this.stand(state);
      this.wall = state.wall;
      this.queue = next;
      this.fetchedTo = to + WINDOW;
      this.fetching = null;
      this.trouble = null;
    } catch (error) {
      if (journey !== this.journey) return;
      this.arrived = journey;
      this.trouble = troubleOf(error as Error);
    }
    this.changed();
  }

  private get inRoom() {
    return this.room ? `&room=${this.room}` : '';
  }

  private get besides() {
    return this.looking ? `&board=${encodeURIComponent(this.looking.board)}` : '';
  }

  private async fetch(from: number): Promise<RecordedEntries['entries']> {
    const [start, end] = [Math.round(from), Math.round(from + WINDOW)];
    return (await get<RecordedEntries>(`/api/recordings/${this.id}/entries?from=${start}&to=${end}${this.inRoom}`))
      .entries;
  }

  private play() {
    if (this.time >= this.length) this.seek(0);
    this.playing = true;
    this.ticked = performance.now();
    this.timer = setInterval(() => this.tick(), TICK);
    this.changed();
  }

  private pause() {
    this.playing = false;
    if (this.timer) clearInterval(this.timer);
    this.timer = null;
    this.changed();
  }

  private tick() {
    const now = performance.now();
    const passed = (now - this.ticked) * this.speed;
    this.ticked = now;
    const to = Math.min(this.time + passed, this.length);
    // What has not arrived yet is waited for, not skipped.
    if (to > this.fetchedTo || this.onItsWay) return;
    this.time = to;
    this.wall = this.wallOf(to);
    while (this.queue[0] && this.queue[0].t <= to) this.take(this.queue.shift()!);
    if (to >= this.length) this.pause();
    else this.fetchAhead();
    this.changed();
  }

  /** All is as it is told, whatever was before. */
  private stand({ streams }: Pick<RecordedMoment, 'streams'>) {
    this.views = new Map(Object.entries(streams).map(([name, view]) => [name, foldOf(name).from(view)]));
    this.pointers = [];
  }

  private take(entry: RecordedEntry | RecordedSeam) {
    if (entry.kind === 'seam') {
      this.stand(entry);
      return this.fetchMissing(this.looking?.board);
    }
    if (entry.kind === 'pointed') this.notePointer(entry.stream, entry.by, entry.at, entry.body);
    const view = this.views.get(entry.stream);
    if (view === undefined) return;
    this.views.set(entry.stream, foldOf(entry.stream).apply(view, entry));
    if (entry.kind === 'shown')
      this.fetchMissing(this.view<{ shown: { board: string } | null }>(entry.stream)?.shown?.board);
    if (entry.kind === 'poll_shown')
      this.fetchMissing(this.view<{ question: { board?: string } | null }>(entry.stream)?.question?.board);
  }

  /** A board that has been neither on show nor looked at yet, and that no poll was about, is not here yet. */
  private fetchMissing(board: string | undefined) {
    if (board === undefined || !this.holds(board) || this.views.has(boardStream(board))) return;
    void this.arrive(this.time, ++this.journey);
  }

  private notePointer(stream: string, by: string, at: number, { page, path }: PointedBody) {
    // Shown a second late: the path tells where the pointer was during the second before.
    const trail = { board: stream.split('/')[1]!, page, by, at: at + 1_000, path };
    this.pointers = [...this.pointers, trail].slice(-30);
  }

  private fetchAhead() {
    if (
      this.fetching === this.journey ||
      this.fetchedTo >= this.length ||
      this.fetchedTo - this.time > AHEAD * this.speed
    )
      return;
    const journey = this.journey;
    this.fetching = journey;
    const from = this.fetchedTo;
    this.fetch(from)
      .then((entries) => {
        if (journey !== this.journey) return;
        this.queue.push(...entries);
        this.fetchedTo = from + WINDOW;
        this.trouble = null;
      })
      .catch((error: Error) => {
        if (journey === this.journey) this.trouble = troubleOf(error);
      })
      .finally(() => {
        if (this.fetching === journey) this.fetching = null;
      });
  }

  private changed() {
    this.version++;
    this.listeners.forEach((listener) => listener());
  }
}
