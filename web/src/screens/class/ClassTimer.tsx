import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useLive, useServerNow } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import { minutesAndSeconds } from '../../parts/words/times';

/** The timer that a cue has started, the same for everyone in a place. */
export function ClassTimer({ place, stream, staff }: { place: PlaceState; stream: string; staff: boolean }) {
  return place.timer && <Running timer={place.timer} stream={stream} staff={staff} />;
}

function Running({
  timer,
  stream,
  staff,
}: {
  timer: NonNullable<PlaceState['timer']>;
  stream: string;
  staff: boolean;
}) {
  const live = useLive();
  const now = useServerNow(500);
  const left = Math.max(timer.ends_at - now, 0);
  return (
    <Box
      role="timer"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        px: 1.25,
        py: 0.25,
        border: 1,
        borderColor: left === 0 ? 'error.main' : 'divider',
        borderRadius: 1,
        bgcolor: 'background.paper',
        whiteSpace: 'nowrap',
      }}
    >
      {timer.label && <span>{timer.label}</span>}
      <Box component="strong" sx={{ color: left === 0 ? 'error.main' : undefined }}>
        {left === 0 ? 'time is up' : minutesAndSeconds(left)}
      </Box>
      {staff && (
        <Button onClick={() => void live.do('class.stop_timer', stream, {})} sx={{ minHeight: 26, px: 1, py: 0 }}>
          Put away
        </Button>
      )}
    </Box>
  );
}
