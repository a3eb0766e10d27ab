import { useRef, type PointerEvent } from 'react';
import type { useView } from './useView';

type Zoom = Omit<ReturnType<typeof useView>, 'holder'>;

/** Two fingers move and scale the page. Answers whether a touch belongs to such a gesture. */
export function usePinch(zoom: Zoom) {
  const touches = useRef(new Map<number, [number, number]>());

  const down = (event: PointerEvent): boolean => {
    if (event.pointerType !== 'touch') return false;
    touches.current.set(event.pointerId, [event.clientX, event.clientY]);
    return touches.current.size >= 2;
  };

  const move = (event: PointerEvent): boolean => {
    const before = touches.current.get(event.pointerId);
    if (!before || touches.current.size < 2) return false;
    const [other] = [...touches.current].filter(([id]) => id !== event.pointerId).map(([, at]) => at);
    const now: [number, number] = [event.clientX, event.clientY];
    touches.current.set(event.pointerId, now);
    const corner = event.currentTarget.getBoundingClientRect();
    const apart = (one: [number, number]) => Math.max(Math.hypot(one[0] - other![0], one[1] - other![1]), 1);
    zoom.pan((before[0] - now[0]) / 2, (before[1] - now[1]) / 2);
    zoom.zoom(
      apart(now) / apart(before),
      (now[0] + other![0]) / 2 - corner.left,
      (now[1] + other![1]) / 2 - corner.top,
    );
    return true;
  };

  const up = (event: PointerEvent) => void touches.current.delete(event.pointerId);
  return { down, move, up };
}
