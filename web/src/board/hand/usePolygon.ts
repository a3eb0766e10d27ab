import { useCallback, useState } from 'react';
import { newId } from '../../live/LiveClient';
import type { NewMark } from '../../live/board';
import { round } from '../geometry/boxes';
import type { Ink } from '../ledge/sticks';

/** Page px within which a click on the first corner closes the polygon. */
const CLOSE = 22;

/** A polygon corner by corner: a click adds one; a click on the first, or Enter, closes it. */
export function usePolygon(page: string, ink: Ink, onPolygon: (mark: NewMark) => void) {
  const [corners, setCorners] = useState<[number, number][]>([]);
  const [hand, setHand] = useState<[number, number] | null>(null);

  const close = useCallback(() => {
    if (corners.length >= 3) {
      const [x, y] = corners[0]!;
      const points = corners.flatMap(([cx, cy]) => [round(cx - x), round(cy - y)]);
      onPolygon({ id: newId(), page, kind: 'polygon', x: round(x), y: round(y), ink, width: 4, points });
    }
    setCorners([]);
    setHand(null);
  }, [corners, ink, onPolygon, page]);

  const click = useCallback(
    (x: number, y: number) => {
      const first = corners[0];
      if (first && corners.length >= 3 && Math.hypot(x - first[0], y - first[1]) < CLOSE) return close();
      setCorners([...corners, [x, y]]);
    },
    [close, corners],
  );
  const cancel = useCallback(() => setCorners([]), []);

  return { corners, hand, setHand, click, close, cancel };
}
