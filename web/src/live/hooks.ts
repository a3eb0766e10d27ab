import { createContext, useContext, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import type { BoardState } from './board';
import type { ExchangeState } from './exchange';
import { LiveClient, type Scope } from './LiveClient';
import { useNow } from '../parts/hooks/useNow';
import type { OwnState } from './own';
import type { PlaceState } from './place';
import type { Rights } from '../api/shapes';
import type { SittingState } from './sitting';
import type { StaffState } from './staff';
import { boardStream, exchangeStream, ownStream, placeStream, sittingStream, staffStream } from './streams';

export const LiveContext = createContext<LiveClient | null>(null);

/** The live client of the screen around. */
export function useLive(): LiveClient {
  const client = useContext(LiveContext);
  if (!client) throw new Error('useLive belongs inside a LiveContext');
  return client;
}

const scopeOf = (kind: 'sitting' | 'lesson' | 'course', id: string, unseen: boolean): Scope => {
  if (kind === 'sitting') return { sitting: id, ...(unseen && { unseen }) };
  return kind === 'lesson' ? { lesson: id } : { course: id };
};

/**
 * Opens a connection for as long as the component lives.
 * @param unseen whether one looks into the class without taking a seat, as staff may
 */
export function useLiveClient(kind: 'sitting' | 'lesson' | 'course', id: string, unseen = false): LiveClient | null {
  const [client, setClient] = useState<LiveClient | null>(null);
  useEffect(() => {
    const opened = new LiveClient(scopeOf(kind, id, unseen));
    // A connection is of the outside world: it is made here, and closed when the component goes.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setClient(opened);
    return () => opened.retire();
  }, [kind, id, unseen]);
  return client;
}

/** @returns what there is of a stream; undefined while it is not known, or may not be read */
export function useStream<State>(stream: string | undefined): State | undefined {
  const client = useLive();
  return useSyncExternalStore(client.subscribe, () => (stream ? client.view<State>(stream) : undefined));
}

export const useBoard = (id: string | undefined) => useStream<BoardState>(id && boardStream(id));
export const useSitting = (id: string) => useStream<SittingState>(sittingStream(id));
/** What only staff know of a class. */
export const useStaff = (id: string) => useStream<StaffState>(staffStream(id));
export const usePlace = (sitting: string, place?: string) => useStream<PlaceState>(placeStream(sitting, place));
export const useExchange = (sitting: string, place?: string) =>
  useStream<ExchangeState>(exchangeStream(sitting, place));

/**
 * Looks at boards that one is not told of by itself, for as long as the component lives. One component of a page at a time does.
 * @param boards ids
 */
export function useFollowed(boards: string[]) {
  const client = useLive();
  const wanted = boards.join(' ');
  useEffect(() => {
    client.follow(wanted ? wanted.split(' ').map(boardStream) : []);
  }, [client, wanted]);
  useEffect(() => () => client.follow([]), [client]);
}

/** @returns what there is of several streams, the same list for as long as none of them changes */
export function useStreams<State>(streams: string[]): (State | undefined)[] {
  const client = useLive();
  const last = useRef<(State | undefined)[]>([]);
  return useSyncExternalStore(client.subscribe, () => {
    const now = streams.map((stream) => client.view<State>(stream));
    const same = now.length === last.current.length && now.every((state, index) => state === last.current[index]);
    if (!same) last.current = now;
    return last.current;
  });
}

/** What concerns oneself alone in a class. */
export function useOwn(sitting: string): OwnState | undefined {
  const { you } = useConnection();
  return useStream<OwnState>(you ? ownStream(sitting, you.id) : undefined);
}

const NOBODY: never[] = [];

/** @returns ids of those whom one works with in pairs now; none while there are no pairs */
export function usePartners(sitting: string, place?: string): string[] {
  const { you } = useConnection();
  const pair = useOwn(sitting)?.pair;
  const now = usePlace(sitting, place)?.pairs;
  return useMemo(
    () => (pair && now?.round === pair.round ? pair.people.map(({ id }) => id).filter((id) => id !== you?.id) : NOBODY),
    [pair, now, you],
  );
}

/** @returns the place of a class that one is in oneself */
export const useMyPlace = (sitting: string): string | null => useOwn(sitting)?.place ?? null;

/** What one may do on a stream. */
export function useRights(stream: string): Rights | undefined {
  const client = useLive();
  return useSyncExternalStore(client.subscribe, () => client.rightsOn(stream));
}

/** The time of day by the server's clock in ms, renewed every so often: devices may be minutes off, and timers end for all at once. */
export function useServerNow(every?: number): number {
  const live = useLive();
  return useNow(every) + live.skew;
}

/** The state of the connection, who one is and how the class goes. */
export function useConnection() {
  const client = useLive();
  return useSyncExternalStore(client.subscribe, () => client.connection);
}
