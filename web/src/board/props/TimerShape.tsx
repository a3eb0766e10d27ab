import { INKS } from '../../api/contracts';
import { useContext } from 'react';
import { useNow } from '../../parts/hooks/useNow';
import { minutesAndSeconds } from '../../parts/words/times';
import { BoardClock } from './boardClock';
import { PANEL, type PropProps } from './look';

/** ms; a recording may run faster than the day. */
const QUICK = 250;

/** What is left, counted on this screen from the end that the server has set. */
export function TimerShape({ settings, shows, ink, w, h }: PropProps) {
  return (
    <>
      <rect width={w} height={h} rx={10} fill={PANEL} stroke={ink} strokeWidth={2} />
      {shows.ends_at === undefined ? (
        <Digits ms={shows.left ?? (settings.seconds ?? 60) * 1000} w={w} h={h} />
      ) : (
        <Running endsAt={shows.ends_at} w={w} h={h} />
      )}
    </>
  );
}

function Running({ endsAt, w, h }: { endsAt: number; w: number; h: number }) {
  const time = useContext(BoardClock);
  useNow(time === Date.now ? 1_000 : QUICK);
  return <Digits ms={Math.max(endsAt - time(), 0)} w={w} h={h} />;
}

function Digits({ ms, w, h }: { ms: number; w: number; h: number }) {
  return (
    <text
      x={w / 2}
      y={h * 0.68}
      fontSize={h * 0.5}
      textAnchor="middle"
      fill={ms === 0 ? INKS.brick : INKS.slate}
      fontWeight={650}
    >
      {minutesAndSeconds(ms)}
    </text>
  );
}
