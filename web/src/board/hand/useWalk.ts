import { useLayoutEffect, useRef, useState, type RefObject } from 'react';
import type { Mark } from '../../api/shapes';

/**
 * Marks are one stop for Tab, however many there are: arrows go from one to the next, bottom first. When the mark that has the focus is
 * taken off, the paper has it, so that nobody is thrown back to the top of the page.
 */
export function useWalk(svg: RefObject<SVGSVGElement | null>, marks: Mark[]) {
  const [focused, setFocused] = useState<string | null>(null);
  const within = useRef(false);
  const there = marks.some(({ id }) => id === focused);

  useLayoutEffect(() => {
    if (within.current && (document.activeElement === document.body || !document.activeElement))
      svg.current?.focus({ preventScroll: true });
  }, [svg, marks]);

  return {
    /** The mark that Tab stops at. */
    stop: there ? focused : (marks[0]?.id ?? null),
    /** Goes from a mark to another one, `by` places further up the pile. */
    walk: (from: string, by: number) => {
      const at = marks.findIndex(({ id }) => id === from);
      const to = marks[(at + by + marks.length) % marks.length];
      if (to) svg.current?.querySelector<SVGElement>(`[data-mark="${to.id}"]`)?.focus();
    },
    toPaper: () => svg.current?.focus({ preventScroll: true }),
    onFocus: (event: React.FocusEvent) => {
      within.current = true;
      const id = event.target.getAttribute('data-mark');
      if (id) setFocused(id);
    },
    onBlur: (event: React.FocusEvent) => {
      if (event.relatedTarget) within.current = event.currentTarget.contains(event.relatedTarget);
    },
  };
}
