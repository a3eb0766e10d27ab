import { INKS, PIPS } from '../../api/contracts';
import { PANEL, type PropProps } from './look';

/** Dice in a row, with what was rolled. */
export function DiceShape({ settings, shows, ink, w, h }: PropProps) {
  const count = settings.count ?? 1;
  const side = Math.min(w / count, h);
  const inset = side * 0.06;
  return Array.from({ length: count }, (_, i) => {
    const face = shows.rolled?.[i];
    // A die from elsewhere may show more than it has faces.
    const pips = face !== undefined && (settings.faces ?? 6) <= 6 ? PIPS[face] : undefined;
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
        {face !== undefined && !pips && (
          <text x={side / 2} y={side * 0.62} fontSize={side * 0.42} textAnchor="middle" fill={INKS.slate}>
            {face}
          </text>
        )}
        {pips?.map(([across, down]) => (
          <circle
            key={`${across}${down}`}
            cx={(side * across!) / 4}
            cy={(side * down!) / 4}
            r={side * 0.07}
            fill={ink}
          />
        ))}
      </g>
    );
  });
}
