import { PANEL, type PropProps } from './PropShape';

// Corners as shares of the box, as the core's `PropDrawing` has them; a round one has none.
const CORNERS: Record<string, [number, number][]> = {
  square: [
    [0.08, 0.08],
    [0.92, 0.08],
    [0.92, 0.92],
    [0.08, 0.92],
  ],
  triangle: [
    [0.5, 0.05],
    [0.95, 0.9],
    [0.05, 0.9],
  ],
  diamond: [
    [0.5, 0.03],
    [0.97, 0.5],
    [0.5, 0.97],
    [0.03, 0.5],
  ],
  star: Array.from({ length: 10 }, (_, i) => {
    const reach = i % 2 === 0 ? 0.48 : 0.2;
    const turn = Math.PI * (i / 5 - 0.5);
    return [0.5 + reach * Math.cos(turn), 0.52 + reach * Math.sin(turn)];
  }),
  boat: [
    [0.5, 0.02],
    [0.72, 0.3],
    [0.78, 0.62],
    [0.7, 0.96],
    [0.3, 0.96],
    [0.22, 0.62],
    [0.28, 0.3],
  ],
};

/** A piece to be moved about. */
export function CounterShape({ settings, ink, w, h }: PropProps) {
  const corners = CORNERS[settings.shape ?? 'round'];
  const look = { fill: ink, stroke: PANEL, strokeWidth: 3 };
  if (!corners) return <ellipse {...look} cx={w / 2} cy={h / 2} rx={w * 0.46} ry={h * 0.46} />;
  return <polygon {...look} points={corners.map(([x, y]) => `${x * w},${y * h}`).join(' ')} />;
}
