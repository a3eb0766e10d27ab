import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useLive } from '../live/hooks';
import type { SittingState } from '../live/sitting';
import { minutesAndSeconds } from './times';
import { useNow } from './useNow';

/** The timer that a cue has started, the same for everyone. */
export function ClassTimer({ sitting, staff }: { sitting: SittingState; staff: boolean }) {
  const live = useLive();
  const now = useNow(500);
  const { timer } = sitting;
  if (!timer) return null;
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
        <Button
          onClick={() => void live.do('class.stop_timer', `sitting/${sitting.id}`, {})}
          sx={{ minHeight: 26, px: 1, py: 0 }}
        >
          Put away
        </Button>
      )}
    </Box>
  );
}
