import type { Mark } from '../../api/shapes';
import { INKS } from '../../api/contracts';
import { CounterShape } from './CounterShape';
import { DiceShape } from './DiceShape';
import { SpinnerShape } from './SpinnerShape';
import { PANEL, type PropProps } from './look';
import { TimerShape } from './TimerShape';

/** A prop as it stands; its buttons are the surface's, so that they work by keyboard and touch. */
export function PropShape({ mark }: { mark: Omit<Mark, 'by' | 'at' | 'z'> }) {
  const props: PropProps = {
    settings: mark.settings ?? {},
    shows: mark.shows ?? {},
    ink: INKS[mark.ink]!,
    w: mark.w ?? 100,
    h: mark.h ?? 100,
  };
  switch (mark.prop) {
    case 'dice':
      return <DiceShape {...props} />;
    case 'spinner':
      return <SpinnerShape {...props} />;
    case 'counter':
      return <CounterShape {...props} />;
    case 'timer':
      return <TimerShape {...props} />;
    default:
      return <PickerShape {...props} />;
  }
}

function PickerShape({ shows, ink, w, h }: PropProps) {
  return (
    <>
      <rect width={w} height={h} rx={10} fill={PANEL} stroke={ink} strokeWidth={2} />
      <text x={w / 2} y={h * 0.6} fontSize={Math.min(h * 0.3, 40)} textAnchor="middle" fill={INKS.slate}>
        {shows.name ?? '?'}
      </text>
      {shows.picked && (
        <text x={w / 2} y={h - 12} fontSize={18} textAnchor="middle" fill={INKS.slate}>
          {shows.left === 0 ? 'everyone was picked' : `${shows.left} still to come`}
        </text>
      )}
    </>
  );
}
