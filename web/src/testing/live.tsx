import { act } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterAll, vi } from 'vitest';
import { RIGHTS } from '../api/contracts';
import type { Incoming, Rights, You } from '../api/shapes';
import { LiveContext } from '../live/hooks';
import { LiveClient } from '../live/LiveClient';
import { FakeSocket } from './FakeSocket';

const allowed = { allowed: true, code: 'rule', says: null };
export const refused = (says: string) => ({ allowed: false, code: 'rule', says });
export const ALL_RIGHTS = Object.fromEntries(Object.keys(RIGHTS).map((right) => [right, allowed])) as unknown as Rights;

export const FARAH: You = { id: 'farah', name: 'Farah Lindqvist', role: 'student', staff: false };
export const ODALYS: You = { id: 'odalys', name: 'Odalys Brandt', role: 'instructor', staff: true };

interface Given {
  you?: You;
  /** Views by stream. */
  streams?: Record<string, unknown>;
  rights?: Rights;
}

const clients: LiveClient[] = [];
// On a slow machine one would ping after all that belongs to its page is gone.
afterAll(() => clients.splice(0).forEach((client) => client.close()));

/** A connection to class `s` whose other end is the test. */
export function connection({ you = FARAH, streams = {}, rights = ALL_RIGHTS }: Given = {}) {
  vi.stubGlobal('WebSocket', FakeSocket);
  const socket = new FakeSocket();
  const client = new LiveClient(
    { sitting: 's' },
    () => socket as unknown as WebSocket,
    () => Promise.resolve(true),
    (act) => act,
  );
  clients.push(client);
  socket.onopen();
  const parts = Object.entries(streams).map(([stream, view]) => ({ stream, head: 0, view }));
  socket.tell({ t: 'welcome', v: 2, you, rights: { 'place/s.main': rights }, streams: parts });
  return {
    client,
    socket,
    tell: (message: Incoming) => act(() => socket.tell(message)),
    /** Commands that were given, by name and input. */
    asked: () => socket.said.filter(({ t }) => t === 'do').map((said) => [said.do, said.with]),
    wrapper: ({ children }: { children: ReactNode }) => <LiveContext value={client}>{children}</LiveContext>,
  };
}
