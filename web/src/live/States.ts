import type { Entry, StreamPart, You } from '../api/shapes';
import { foldOf } from './folds';
import type { Pending } from './pending';

interface State {
  head: number;
  /** As the server has it. */
  confirmed: unknown;
  /** The same, with what one has asked for oneself and not been answered. */
  shown: unknown;
}

/** What one knows of every stream that one may read, own unanswered edits shown on top. */
export class States {
  private all = new Map<string, State>();

  /**
   * @param own commands on a stream that were not answered yet, in order
   * @param you who one is; null before the welcome
   */
  constructor(
    private own: (stream: string) => Pending[],
    private you: () => You | null,
  ) {}

  /** @returns what to show of a stream; undefined while unknown */
  shown = (stream: string): unknown => this.all.get(stream)?.shown;

  names = (): string[] => [...this.all.keys()];

  /** @returns a stream as the server has it; undefined while unknown */
  confirmed = (stream: string): unknown => this.all.get(stream)?.confirmed;

  /** @returns number of the last entry known of a stream */
  head = (stream: string): number | undefined => this.all.get(stream)?.head;

  /** @returns number of the last entry known of each */
  heads = (): Record<string, number> => Object.fromEntries([...this.all].map(([name, { head }]) => [name, head]));

  forget = (stream: string) => void this.all.delete(stream);

  /** Forgets all others. */
  keep(streams: ReadonlySet<string>) {
    for (const name of this.names()) if (!streams.has(name)) this.forget(name);
  }

  /** Begins a stream from what the server tells of it. */
  begin({ stream, head, view }: StreamPart) {
    this.all.set(stream, { head, confirmed: foldOf(stream).from(view), shown: undefined });
    this.show(stream);
  }

  /** @returns the entries that were news, each taken in once and in order */
  take(name: string, entries: Entry[]): Entry[] {
    const state = this.all.get(name);
    if (!state) return [];
    const fold = foldOf(name);
    const news = entries.filter((entry) => {
      if (entry.seq <= state.head) return false;
      state.confirmed = fold.apply(state.confirmed, entry);
      state.head = entry.seq;
      return true;
    });
    this.show(name);
    return news;
  }

  /** Works out anew what to show, because what one has asked for is different. */
  show(name: string) {
    const state = this.all.get(name);
    if (!state) return;
    const { early } = foldOf(name);
    const you = this.you();
    const own = early && you ? this.own(name) : [];
    state.shown = own.reduce((shown, command) => early!(shown, command, you!), state.confirmed);
  }
}
