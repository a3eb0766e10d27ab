import { useMemo, useRef } from 'react';
import type { Mark } from '../../api/shapes';
import type { BoardState } from '../../live/board';

const NONE: Mark[] = [];

/**
 * The marks of every page, bottom first. A page on which nothing has changed keeps its list, so that what is made of it needs not be made
 * again.
 */
export function useMarksByPage(marks: BoardState['marks']): (page: string) => Mark[] {
  const before = useRef<ReadonlyMap<string, Mark[]>>(new Map());
  return useMemo(() => {
    const pages = new Map<string, Mark[]>();
    for (const mark of marks.values()) {
      const list = pages.get(mark.page);
      if (list) list.push(mark);
      else pages.set(mark.page, [mark]);
    }
    for (const [page, list] of pages) {
      list.sort((one, other) => one.z - other.z || (one.id < other.id ? -1 : 1));
      // eslint-disable-next-line react-hooks/refs -- lists that are kept make no difference to what is shown
      const old = before.current.get(page);
      if (old?.length === list.length && old.every((mark, i) => mark === list[i])) pages.set(page, old);
    }
    // eslint-disable-next-line react-hooks/refs
    before.current = pages;
    return (page) => pages.get(page) ?? NONE;
  }, [marks]);
}
