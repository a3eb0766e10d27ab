import { INKS, WASHES } from '../../api/contracts';
import type { PropProps } from './look';

const washes = Object.values(WASHES);

/** A wheel with a label on each part; the pointer at the top tells where it rests. */
export function SpinnerShape({ settings, shows, ink, w, h }: PropProps) {
  const labels = settings.labels ?? [];
  const weights = settings.weights ?? labels.map(() => 1);
  const sum = weights.reduce((total, weight) => total + weight, 0);
  const radius = Math.min(w, h) / 2;
  const rim = (turn: number) => `${radius * (1 + Math.sin(turn))} ${radius * (1 - Math.cos(turn))}`;
  const ends = weights.map((_, i) => weights.slice(0, i + 1).reduce((total, weight) => total + weight, 0) / sum);
  return (
    <>
      <g transform={`rotate(${-(shows.turn ?? 0)} ${radius} ${radius})`}>
        {labels.map((label, i) => {
          const from = 2 * Math.PI * (ends[i - 1] ?? 0);
          const to = 2 * Math.PI * ends[i]!;
          const middle = (from + to) / 2;
          const [x, y] = [radius * (1 + 0.62 * Math.sin(middle)), radius * (1 - 0.62 * Math.cos(middle))];
          return (
            <g key={i}>
              <path
                d={`M${radius} ${radius}L${rim(from)}A${radius} ${radius} 0 ${to - from > Math.PI ? 1 : 0} 1 ${rim(to)}Z`}
                fill={washes[i % washes.length]}
                stroke="#DDD3C0"
              />
              <text
                x={x}
                y={y + 6}
                fontSize={20}
                textAnchor="middle"
                fill={INKS.slate}
                transform={`rotate(${shows.turn ?? 0} ${x} ${y})`}
              >
                {label}
              </text>
            </g>
          );
        })}
      </g>
      <path d={`M${radius - 10} -6L${radius + 10} -6L${radius} 16Z`} fill={ink} />
    </>
  );
}
