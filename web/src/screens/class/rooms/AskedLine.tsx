import Button from '@mui/material/Button';
import { useServerNow } from '../../../live/hooks';
import type { OwnState } from '../../../live/own';
import type { SittingState } from '../../../live/sitting';
import { MAIN } from '../../../live/streams';
import { Line } from '../../../parts/frame/Line';
import { minutesAndSeconds } from '../../../parts/words/times';
import { OtherRoom } from './RoomLine';
import { openRooms } from '../../../live/sitting';
import { useRooms } from './useRooms';

interface Props {
  sitting: SittingState;
  own: OwnState;
}

/** In the main room, while rooms are open: to which one is asked to go, or that one may choose. */
export function AskedLine({ sitting, own }: Props) {
  const rooms = useRooms(sitting.id);
  const now = useServerNow(1_000);
  const open = openRooms(sitting);
  const activity = sitting.activities.find(({ id }) => id === open[0]?.activity);
  if (!activity) return null;
  if (own.asked)
    return (
      <Line
        label="Your room"
        marked
        says={
          <>
            {activity.name}: your room is <strong>{own.asked.name}</strong>.
          </>
        }
      >
        <span>You are taken there in {minutesAndSeconds(Math.max(own.asked.until - now, 0))}.</span>
        <Button size="small" variant="contained" color="primary" onClick={() => rooms.go(own.asked!.room, MAIN)}>
          Go to {own.asked.name}
        </Button>
      </Line>
    );
  if (!activity.free) return null;
  return (
    <Line label="Your room" marked says={`${activity.name}: choose a room.`}>
      <OtherRoom sitting={sitting} at={MAIN} onGo={(to) => rooms.go(to, MAIN)} />
    </Line>
  );
}
