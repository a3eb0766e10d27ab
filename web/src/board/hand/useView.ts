import { useCallback, useLayoutEffect, useState } from 'react';
import { PAGE_HEIGHT, PAGE_WIDTH } from '../../api/contracts';

/** What part of the page a surface shows: scale in screen px per page px, and the page point at its corner. */
export interface View {
  scale: number;
  x: number;
  y: number;
}

const LEAST = 0.15;
const MOST = 6;

/** @returns the view in which a whole page is seen; of one that is longer than a sheet its whole width, since one reads down it */
export function fittedView(height: number, size: { width: number; height: number }): View {
  const long = height > PAGE_WIDTH;
  const scale = (long ? size.width / PAGE_WIDTH : Math.min(size.width / PAGE_WIDTH, size.height / height)) || 0.5;
  return {
    scale,
    x: (PAGE_WIDTH - size.width / scale) / 2,
    y: Math.min((height - size.height / scale) / 2, 0),
  };
}

/** Zoom and pan of a surface. Without an own choice the whole page is fitted into it. */
export function useView(height: number = PAGE_HEIGHT) {
  const [node, setNode] = useState<HTMLElement | null>(null);
  const [size, setSize] = useState({ width: 800, height: 500 });
  const [chosen, setChosen] = useState<View | null>(null);

  useLayoutEffect(() => {
    if (!node) return;
    const observer = new ResizeObserver(() => setSize({ width: node.clientWidth, height: node.clientHeight }));
    observer.observe(node);
    return () => observer.disconnect();
  }, [node]);

  const fitted = fittedView(height, size);
  const view = chosen ?? fitted;

  const zoom = useCallback(
    (factor: number, atX = size.width / 2, atY = size.height / 2) =>
      setChosen((present) => {
        const old = present ?? fitted;
        const next = Math.min(Math.max(old.scale * factor, LEAST), MOST);
        return { scale: next, x: old.x + atX / old.scale - atX / next, y: old.y + atY / old.scale - atY / next };
      }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `fitted` follows from size
    [size, height],
  );
  const pan = useCallback(
    (dx: number, dy: number) =>
      setChosen((present) => {
        const old = present ?? fitted;
        return { ...old, x: old.x + dx / old.scale, y: old.y + dy / old.scale };
      }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `fitted` follows from size
    [size, height],
  );
  const fit = useCallback(() => setChosen(null), []);
  const show = useCallback((wanted: View) => setChosen(wanted), []);

  // `holder` takes the element that holds the surface, whenever that comes to be.
  return { holder: setNode, view, size, zoom, pan, fit, show, fits: chosen === null };
}
