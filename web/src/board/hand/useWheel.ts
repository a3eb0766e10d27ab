import { useEffect, useRef, type RefObject } from 'react';
import type { useView } from './useView';

/** Px in a line and in a page, for wheels that count in those. */
const PX = [1, 16, 400];

/**
 * The wheel moves the page, with Ctrl (or two fingers spread on a touchpad) it scales it. The browser's own zoom and going back by a
 * sideways swipe are kept away from the paper, which only a listener that React does not make can do.
 */
export function useWheel(svg: RefObject<SVGSVGElement | null>, zoom: Omit<ReturnType<typeof useView>, 'holder'>) {
  const latest = useRef(zoom);
  useEffect(() => {
    latest.current = zoom;
  });
  useEffect(() => {
    const paper = svg.current;
    if (!paper) return;
    const turn = (event: WheelEvent) => {
      event.preventDefault();
      const px = PX[event.deltaMode] ?? 1;
      const corner = paper.getBoundingClientRect();
      if (event.ctrlKey || event.metaKey)
        latest.current.zoom(
          Math.exp((-event.deltaY * px) / 300),
          event.clientX - corner.left,
          event.clientY - corner.top,
        );
      else latest.current.pan(event.deltaX * px, event.deltaY * px);
    };
    paper.addEventListener('wheel', turn, { passive: false });
    return () => paper.removeEventListener('wheel', turn);
  }, [svg]);
}
