import { useRef, useState, type PointerEvent, type RefObject } from 'react';
import { Pointers } from './pointers';
import { useWheel } from './useWheel';
import type { useView } from './useView';

/** Moves and scales a page that is only looked at: by dragging, by two fingers, and by the wheel. */
export function useLooking(svg: RefObject<SVGSVGElement | null>, zoom: Omit<ReturnType<typeof useView>, 'holder'>) {
  const [pointers] = useState(() => new Pointers());
  const last = useRef<[number, number] | null>(null);
  useWheel(svg, zoom);
  return {
    onPointerDown: (event: PointerEvent<SVGSVGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      last.current = pointers.down(event, performance.now()) === 'acts' ? [event.clientX, event.clientY] : null;
    },
    onPointerMove: (event: PointerEvent<SVGSVGElement>) => {
      const corner = event.currentTarget.getBoundingClientRect();
      const pinch = pointers.pinch(event);
      if (pinch) {
        zoom.pan(pinch.dx, pinch.dy);
        zoom.zoom(pinch.factor, pinch.x - corner.left, pinch.y - corner.top);
        return;
      }
      if (!last.current || !pointers.moves(event, performance.now())) return;
      zoom.pan(last.current[0] - event.clientX, last.current[1] - event.clientY);
      last.current = [event.clientX, event.clientY];
    },
    onPointerUp: (event: PointerEvent<SVGSVGElement>) => {
      if (pointers.up(event)) last.current = null;
    },
    onPointerCancel: (event: PointerEvent<SVGSVGElement>) => {
      if (pointers.up(event)) last.current = null;
    },
  };
}
