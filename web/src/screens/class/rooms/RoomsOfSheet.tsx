import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useServerNow, useStreams } from '../../../live/hooks';
import { openActivity } from '../../../live/activities';
import type { PlaceState } from '../../../live/place';
import { currentStep, type SittingState } from '../../../live/sitting';
import type { StaffState } from '../../../live/staff';
import { placeStream } from '../../../live/streams';
import { count } from '../../../parts/words/times';
import { activityWords, standingOf } from './rooms';
import { useRooms } from './useRooms';

interface Props {
  sitting: SittingState;
  staff: StaffState;
  /** The place that one is in. */
  at: string;
  /** Looks at the rooms in place of the board. */
  onRooms: () => void;
}

/** For staff, on the sheet: how the rooms stand, who calls, and what comes next with them. */
export function RoomsOfSheet({ sitting, staff, at, onRooms }: Props) {
  const rooms = useRooms(sitting.id);
  const { open, ready, made } = standingOf(staff.activities, currentStep(sitting)?.id);
  const activity = open ?? ready;
  return (
    <Box component="section" aria-label="Rooms">
      <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 0.5 }}>Rooms</Box>
      {activity && <Box role="status">{activityWords(activity)}</Box>}
      {!activity && made && <Box>{made.name}: everyone is back.</Box>}
      {open && <Calls {...{ sitting, staff, at }} />}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mt: 0.5 }}>
        {!open && ready && (
          <Button
            size="small"
            variant="contained"
            color="primary"
            disabled={rooms.open.isPending}
            onClick={() => rooms.open.mutate(ready.id, { onSuccess: onRooms })}
          >
            Open {count(ready.rooms.length, 'room')}
          </Button>
        )}
        <Button size="small" title="Key: o" onClick={onRooms}>
          {open ? 'Walk round' : ready ? 'Look at who is where' : made ? 'Look at what they made' : 'Split into rooms'}
        </Button>
      </Box>
    </Box>
  );
}

/** Rooms that call, longest first. */
function Calls({ sitting, staff, at }: Pick<Props, 'sitting' | 'staff' | 'at'>) {
  const rooms = useRooms(sitting.id);
  const now = useServerNow(10_000);
  const open = openActivity(staff.activities)!.rooms.filter((room) => room.open);
  const places = useStreams<PlaceState>(open.map(({ id }) => placeStream(sitting.id, id)));
  const calls = open
    .flatMap(({ id, name }, i) => (places[i]?.call ? [{ id, room: name, since: places[i].call.since }] : []))
    .sort((one, other) => one.since - other.since);
  if (calls.length === 0) return null;
  return (
    <Box component="ul" sx={{ m: 0, my: 0.5, p: 0, listStyle: 'none' }}>
      {calls.map(({ id, room, since }) => (
        <Box
          component="li"
          key={id}
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1,
            pl: 1,
            borderLeft: '3px solid',
            borderColor: 'error.main',
          }}
        >
          <Box role="status" sx={{ flex: 1 }}>
            <strong>{room} calls</strong>, {waited(now - since)}
          </Box>
          {id !== at && (
            <Button size="small" onClick={() => rooms.stepIn(id, at)}>
              Go there
            </Button>
          )}
        </Box>
      ))}
    </Box>
  );
}

const waited = (ms: number) => (ms < 60_000 ? 'just now' : `${Math.floor(ms / 60_000)} min`);
