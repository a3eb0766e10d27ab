import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { ExchangeState } from '../../live/exchange';

/** Px from the end within which one counts as reading the newest. */
const NEAR = 60;

/**
 * Keeps the newest post in sight, unless one reads back: then the list stays where it is, and tells how many have come below. One's own
 * post is always gone to.
 *
 * @param me whose own posts are gone to
 */
export function useReadingBack(posts: ExchangeState['posts'], me: string | undefined) {
  const list = useRef<HTMLDivElement>(null);
  const last = posts.at(-1);
  const [seen, setSeen] = useState(last?.id);
  const [back, setBack] = useState(false);
  if (!back && seen !== last?.id) setSeen(last?.id);

  const toNewest = () => list.current?.scrollTo({ top: list.current.scrollHeight });
  useLayoutEffect(() => {
    if (!back || last?.by === me) toNewest();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when something new has come, not when one begins to read back
  }, [last?.id]);

  // Also once it is shown again, or the device was turned.
  const newest = useRef(true);
  useEffect(() => {
    newest.current = !back;
  });
  useEffect(() => {
    const sized = new ResizeObserver(() => newest.current && toNewest());
    sized.observe(list.current!);
    return () => sized.disconnect();
  }, []);

  const onScroll = () => {
    const { scrollTop, clientHeight, scrollHeight } = list.current!;
    setBack(scrollHeight - scrollTop - clientHeight > NEAR);
  };
  const from = posts.findIndex(({ id }) => id === seen) + 1;
  return { list, onScroll, below: back ? posts.length - from : 0, toNewest };
}
