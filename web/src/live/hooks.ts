import { createContext, useContext, useEffect, useState, useSyncExternalStore } from 'react';
import type { BoardState } from './board';
import type { ExchangeState } from './exchange';
import { LiveClient } from './LiveClient';
import type { SittingState } from './sitting';

export const LiveContext = createContext<LiveClient | null>(null);

/** The live client of the screen around. */
export function useLive(): LiveClient {
  const client = useContext(LiveContext);
  if (!client) throw new Error('useLive belongs inside a LiveContext');
  return client;
}

/** Opens a connection for as long as the component lives. */
export function useLiveClient(kind: 'sitting' | 'lesson', id: string): LiveClient | null {
  const [client, setClient] = useState<LiveClient | null>(null);
  useEffect(() => {
    const opened = new LiveClient(kind === 'sitting' ? { sitting: id } : { lesson: id });
    // A connection is of the outside world: it is made here, and closed when the component goes.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setClient(opened);
    return () => opened.close();
  }, [kind, id]);
  return client;
}

function useView<State>(stream: string | undefined): State | undefined {
  const client = useLive();
  return useSyncExternalStore(client.subscribe, () => (stream ? client.view<State>(stream) : undefined));
}

export const useBoard = (id: string | undefined) => useView<BoardState>(id && `board/${id}`);
export const useSitting = (id: string) => useView<SittingState>(`sitting/${id}`);
export const useExchange = (id: string) => useView<ExchangeState>(`exchange/${id}`);

/** The state of the connection, who one is and what one may do. */
export function useConnection() {
  const client = useLive();
  return useSyncExternalStore(client.subscribe, () => client.connection);
}
