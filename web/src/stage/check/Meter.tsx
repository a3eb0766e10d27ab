import Box from '@mui/material/Box';
import { filled, heardAs, HEARD_WORDS } from './level';
import { useLevel } from './useLevel';

/** How loud one is, as a bar and in words. */
export function Meter({ track }: { track: MediaStreamTrack }) {
  const { now, lately } = useLevel(track);
  const part = Math.round(filled(now) * 100);
  return (
    <>
      <Box
        role="meter"
        aria-label="How loud you are"
        aria-valuenow={part}
        aria-valuemin={0}
        aria-valuemax={100}
        sx={{
          height: 14,
          borderRadius: 1,
          bgcolor: 'veranda.wash',
          overflow: 'hidden',
          border: 1,
          borderColor: 'divider',
        }}
      >
        <Box sx={{ height: 1, width: `${part}%`, bgcolor: 'primary.main' }} />
      </Box>
      <Box role="status">{HEARD_WORDS[heardAs(lately)]}</Box>
    </>
  );
}
