import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useLive } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';
import { firstName } from '../../parts/words/people';
import { count } from '../../parts/words/times';

interface Props {
  sitting: SittingState;
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  oneLine: boolean;
}

/** For staff: how many hands are up, and the first of them. */
export function Hands({ sitting, place, room, oneLine }: Props) {
  const live = useLive();
  const first = sitting.seats.find((seat) => seat.id === place.hands[0]);
  const heard = first && (
    <Button
      onClick={() => void live.do('class.lower_hand', room, { person: first.id })}
      sx={{ width: oneLine ? undefined : 1, overflow: 'hidden', textOverflow: 'ellipsis' }}
    >
      {firstName(first.name)} was heard
    </Button>
  );
  if (oneLine)
    return heard ?? <Box sx={{ fontSize: 14, whiteSpace: 'nowrap', alignSelf: 'center' }}>No hand is up</Box>;
  return (
    <Box sx={{ width: 236 }}>
      <Box sx={{ mb: first ? 1 : 0 }}>{first ? `${count(place.hands.length, 'hand')} up` : 'No hand is up.'}</Box>
      {heard}
    </Box>
  );
}
