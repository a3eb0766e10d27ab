import { useCallback, useState } from 'react';
import { newId } from '../../live/LiveClient';
import type { NewMark } from '../../live/board';
import { round } from '../geometry/boxes';
import type { Ink } from '../ledge/sticks';
import type { Shape } from './tools';

interface Draft {
  fromX: number;
  fromY: number;
  mark: NewMark;
}

/** The shape between two points of the page. */
export function shapeBetween(
  shape: Shape,
  ink: Ink,
  page: string,
  id: string,
  from: [number, number],
  to: [number, number],
): NewMark {
  const [x, y] = from;
  const [dx, dy] = [round(to[0] - x), round(to[1] - y)];
  const base = { id, page, kind: shape, ink, width: 4 };
  if (shape === 'line' || shape === 'arrow') return { ...base, x: round(x), y: round(y), points: [0, 0, dx, dy] };
  return { ...base, x: round(Math.min(x, to[0])), y: round(Math.min(y, to[1])), w: Math.abs(dx), h: Math.abs(dy) };
}

/** Draws a rectangle, ellipse, line or arrow by a drag. */
export function useShaping(page: string, ink: Ink, onShape: (mark: NewMark) => void) {
  const [draft, setDraft] = useState<Draft | null>(null);

  const begin = useCallback(
    (shape: Shape, x: number, y: number) =>
      setDraft({ fromX: x, fromY: y, mark: shapeBetween(shape, ink, page, newId(), [x, y], [x, y]) }),
    [page, ink],
  );
  const extend = useCallback(
    (x: number, y: number) =>
      setDraft((old) => {
        if (!old) return old;
        const { kind, ink, id } = old.mark;
        return { ...old, mark: shapeBetween(kind as Shape, ink, page, id, [old.fromX, old.fromY], [x, y]) };
      }),
    [page],
  );
  const finish = useCallback(() => {
    if (!draft) return;
    const { mark } = draft;
    const extent = mark.points ? Math.hypot(mark.points[2]!, mark.points[3]!) : Math.max(mark.w!, mark.h!);
    // A mere click is not a shape.
    if (extent > 6) onShape(mark);
    setDraft(null);
  }, [draft, onShape]);

  return { draft: draft?.mark ?? null, begin, extend, finish, cancel: () => setDraft(null) };
}
