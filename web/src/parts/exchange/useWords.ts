import { useMemo } from 'react';
import type { ThreadRow } from '../../api/shapes';
import type { ThreadState, Written } from '../../live/exchange';
import { useExchange, useOwn, useStaff, useStreams } from '../../live/hooks';
import { threadStream } from '../../live/streams';

/** A post, with the thread it is in unless it is for everyone. */
export interface Word extends Written {
  thread?: ThreadRow;
}

interface Words {
  /** All that one may read, in the order in which it was written; undefined while unknown. */
  words?: Word[];
  /** Threads that one may read, oldest first. */
  threads: ThreadRow[];
  /** Ids of posts that stay in view. */
  pinned: string[];
}

const NONE: never[] = [];

/** Everything written that one may read in a place: to everyone, and in threads. */
export function useWords(sitting: string, place: string): Words {
  const exchange = useExchange(sitting, place);
  const own = useOwn(sitting)?.threads ?? NONE;
  const shared = useStaff(sitting)?.threads ?? NONE;
  const threads = useMemo(() => [...new Map([...own, ...shared].map((row) => [row.id, row])).values()], [own, shared]);
  const names = useMemo(() => threads.map(({ id }) => threadStream(sitting, id)), [sitting, threads]);
  const states = useStreams<ThreadState>(names);
  return useMemo(() => {
    if (!exchange) return { threads, pinned: NONE };
    const inThreads = states.flatMap((state, index) =>
      (state?.posts ?? []).map((post): Word => ({ ...post, thread: threads[index] })),
    );
    const words =
      inThreads.length === 0 ? exchange.posts : [...exchange.posts, ...inThreads].sort((a, b) => a.at - b.at);
    return { words, threads, pinned: exchange.pinned };
  }, [exchange, states, threads]);
}
