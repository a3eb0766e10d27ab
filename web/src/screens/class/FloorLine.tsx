import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { You } from '../../api/shapes';
import { useLive, useServerNow } from '../../live/hooks';
import { withFloor, type PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';
import { floorWords } from '../../parts/words/floor';
import { firstName } from '../../parts/words/people';
import { minutesAndSeconds } from '../../parts/words/times';

interface Props {
  sitting: SittingState;
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  you: You;
}

/** Above the paper, while somebody has the floor: who, for how long, and how it goes back. */
export function FloorLine({ sitting, place, room, you }: Props) {
  const live = useLive();
  if (!place.floor) return null;
  const { until } = place.floor;
  const people = withFloor(place);
  const mine = people.includes(you.id);
  const names = people
    .filter((id) => id !== you.id)
    .map((id) => firstName(sitting.seats.find((seat) => seat.id === id)?.name ?? 'Somebody'));
  return (
    <Box
      component="section"
      aria-label="The floor"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1.5,
        mb: 0.75,
        pl: 1.5,
        pr: 0.5,
        py: 0.25,
        border: 1,
        borderColor: '#E0A63A',
        borderRadius: 1,
        bgcolor: 'veranda.ochreWash',
      }}
    >
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <strong>{floorWords(mine, names)}.</strong>
        {mine && (
          <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' } }}>
            {' You may speak, draw and share, whatever the rules are.'}
          </Box>
        )}
      </Box>
      {until !== null && <Left until={until} />}
      {mine && <Button onClick={() => void live.do('class.take_floor', room, {})}>Give it back</Button>}
      {you.staff && <Button onClick={() => void live.do('class.take_floor', room, {})}>Take the floor back</Button>}
    </Box>
  );
}

function Left({ until }: { until: number }) {
  const now = useServerNow(1_000);
  return (
    <Box role="timer" sx={{ whiteSpace: 'nowrap' }}>
      {minutesAndSeconds(Math.max(until - now, 0))} left
    </Box>
  );
}
