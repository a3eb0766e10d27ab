import { INKS } from '../../api/contracts';
import type { Ink } from '../ledge/sticks';

interface Props {
  corners: [number, number][];
  hand: [number, number] | null;
  ink: Ink;
  scale: number;
}

/** A polygon under way: its corners so far, and a ring on the first, which closes it. */
export function PolygonDraft({ corners, hand, ink, scale }: Props) {
  const first = corners[0];
  if (!first) return null;
  const line = [...corners, ...(hand ? [hand] : [])].map((corner) => corner.join(' ')).join('L');
  return (
    <g pointerEvents="none" fill="none" stroke={INKS[ink]} strokeWidth={4} strokeLinejoin="round">
      <path d={`M${line}`} />
      <circle cx={first[0]} cy={first[1]} r={9 / scale} strokeWidth={2 / scale} fill="#FFFDF9" />
    </g>
  );
}
