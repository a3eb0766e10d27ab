import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useLive, useServerNow } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import { minutesAndSeconds } from '../../parts/words/times';

interface Props {
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  staff: boolean;
}

/** Above the paper, while a timer runs that a cue has started: large enough to be read from across the table, the same for everyone. */
export function TimerLine({ place, room, staff }: Props) {
  return place.timer && <Running timer={place.timer} room={room} staff={staff} />;
}

function Running({ timer, room, staff }: Omit<Props, 'place'> & { timer: NonNullable<PlaceState['timer']> }) {
  const live = useLive();
  const now = useServerNow(250);
  const left = Math.max(timer.ends_at - now, 0);
  return (
    <Box
      component="section"
      aria-label="Timer"
      sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mb: 0.5, px: 1, minHeight: 48 }}
    >
      {timer.label && <Box sx={{ fontSize: 16 }}>{timer.label}</Box>}
      <Box
        role="timer"
        sx={{
          fontFamily: 'h2.fontFamily',
          fontSize: 34,
          fontWeight: 700,
          lineHeight: 1.1,
          fontVariantNumeric: 'tabular-nums',
          whiteSpace: 'nowrap',
          color: left === 0 ? 'error.main' : undefined,
        }}
      >
        {left === 0 ? 'time is up' : minutesAndSeconds(left)}
      </Box>
      {timer.until_done && left > 0 && <Box sx={{ color: 'text.secondary' }}>or until all are done</Box>}
      {staff && (
        <Button onClick={() => void live.do('class.stop_timer', room, {})} sx={{ ml: 'auto' }}>
          Put the timer away
        </Button>
      )}
    </Box>
  );
}
