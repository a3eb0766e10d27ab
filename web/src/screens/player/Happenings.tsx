import Box from '@mui/material/Box';
import type { RecordingHappened } from '../../api/shapes';

interface Props {
  happened: RecordingHappened;
  length: number;
  /** ms of the recording at which somebody did something themselves, or noted something. */
  marked: number[];
}

const HIGH = 16;

/** A line of how much happened when, so that the eye finds places; small marks where one did or noted something oneself. */
export function Happenings({ happened: { parts, every }, length, marked }: Props) {
  const most = Math.max(1, ...parts);
  const w = (every / length) * 100;
  return (
    <Box
      component="svg"
      aria-hidden
      viewBox={`0 0 100 ${HIGH}`}
      preserveAspectRatio="none"
      sx={{ position: 'absolute', inset: '0 0 auto 0', width: 1, height: HIGH, color: 'primary.main', opacity: 0.55 }}
    >
      {parts.map((part, i) => {
        // The busiest moment hides nobody else's.
        const high = Math.sqrt(part / most) * HIGH;
        return part > 0 && <rect key={i} x={i * w} y={HIGH - high} width={w * 0.8} height={high} fill="currentColor" />;
      })}
      {marked.map((time, i) => (
        <rect key={`m${i}`} x={(time / length) * 100 - 0.15} y={0} width={0.3} height={HIGH} fill="#A8412A" />
      ))}
    </Box>
  );
}
