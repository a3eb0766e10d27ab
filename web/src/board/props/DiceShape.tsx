import { INKS } from '../../api/contracts';
import { PANEL, type PropProps } from './PropShape';

// Where pips sit on a die, as quarters of its side, by face.
const PIPS: [number, number][][] = [
  [],
  [[2, 2]],
  [
    [1, 1],
    [3, 3],
  ],
  [
    [1, 1],
    [2, 2],
    [3, 3],
  ],
  [
    [1, 1],
    [1, 3],
    [3, 1],
    [3, 3],
  ],
  [
    [1, 1],
    [1, 3],
    [2, 2],
    [3, 1],
    [3, 3],
  ],
  [
    [1, 1],
    [1, 2],
    [1, 3],
    [3, 1],
    [3, 2],
    [3, 3],
  ],
];

/** Dice in a row, with what was rolled. */
export function DiceShape({ settings, shows, ink, w, h }: PropProps) {
  const count = settings.count ?? 1;
  const side = Math.min(w / count, h);
  const inset = side * 0.06;
  return Array.from({ length: count }, (_, i) => {
    const face = shows.rolled?.[i];
    return (
      <g key={i} transform={`translate(${i * side} 0)`}>
        <rect
          x={inset}
          y={inset}
          width={side - 2 * inset}
          height={side - 2 * inset}
          rx={10}
          fill={PANEL}
          stroke={ink}
          strokeWidth={2}
        />
        {face !== undefined && (settings.faces ?? 6) > 6 && (
          <text x={side / 2} y={side * 0.62} fontSize={side * 0.42} textAnchor="middle" fill={INKS.slate}>
            {face}
          </text>
        )}
        {face !== undefined &&
          (settings.faces ?? 6) <= 6 &&
          PIPS[face]!.map(([across, down]) => (
            <circle
              key={`${across}${down}`}
              cx={(side * across) / 4}
              cy={(side * down) / 4}
              r={side * 0.07}
              fill={ink}
            />
          ))}
      </g>
    );
  });
}
