import Box from '@mui/material/Box';
import { clockTime, count, day, duration, sameDay } from '../../parts/words/times';
import { useNow } from '../../parts/hooks/useNow';

/** In ms. */
const DAY = 86_400_000;

/** When a class begins, and how long that is from now. */
export function ToGo({ startsAt }: { startsAt: number }) {
  const now = useNow();
  const left = startsAt - now;
  const on = sameDay(startsAt, now) ? '' : ` on ${day(startsAt, 'short')}`;
  return (
    <>
      <Box sx={{ color: 'text.secondary' }}>
        {left > 0 ? 'Begins' : 'Was to begin'}
        {on} at {clockTime(startsAt)}
      </Box>
      <Box component="h2" sx={{ m: 0, typography: 'h1', fontSize: 32 }}>
        {left <= 0 ? 'Any moment now' : `${left < DAY ? duration(left) : count(Math.floor(left / DAY), 'day')} to go`}
      </Box>
    </>
  );
}
