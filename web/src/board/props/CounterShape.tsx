import { COUNTER_CORNERS } from '../../api/contracts';
import { PANEL, type PropProps } from './look';

/** A piece to be moved about. */
export function CounterShape({ settings, ink, w, h }: PropProps) {
  const corners = COUNTER_CORNERS[settings.shape ?? 'round'];
  const look = { fill: ink, stroke: PANEL, strokeWidth: 3 };
  if (!corners) return <ellipse {...look} cx={w / 2} cy={h / 2} rx={w * 0.46} ry={h * 0.46} />;
  return <polygon {...look} points={corners.map(([x, y]) => `${x! * w},${y! * h}`).join(' ')} />;
}
