import Box from '@mui/material/Box';
import { clockTime, duration } from '../../parts/words/times';
import { useNow } from '../../parts/hooks/useNow';

/** When a class begins, and how long that is from now. */
export function ToGo({ startsAt }: { startsAt: number }) {
  const left = startsAt - useNow();
  return (
    <>
      <Box sx={{ color: 'text.secondary' }}>
        {left > 0 ? 'Begins' : 'Was to begin'} at {clockTime(startsAt)}
      </Box>
      <Box component="h2" sx={{ m: 0, typography: 'h1', fontSize: 32 }}>
        {left > 0 ? `${duration(left)} to go` : 'Any moment now'}
      </Box>
    </>
  );
}
