import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { Activity } from '../../../api/shapes';
import type { SittingState } from '../../../live/sitting';
import { MAIN } from '../../../live/streams';
import { isStaff } from '../../../parts/words/people';
import { Columns } from './Columns';
import { RoomsHead } from './RoomsPage';
import { hereOf, inPlace, metFrom, namesOf } from './rooms';
import { useOffered, useRooms } from './useRooms';

interface Props {
  sitting: SittingState;
  activity: Activity;
  /** The way back to all rooms. */
  back: ReactNode;
}

/** While rooms are open: who is in which, to be moved; rooms named anew, added and taken away. */
export function Moving({ sitting, activity, back }: Props) {
  const rooms = useRooms(sitting.id);
  const offered = useOffered(sitting.id, activity.id);
  const open = activity.rooms.filter((room) => room.open);
  const seated = (place: string) => inPlace(sitting, place).filter((seat) => !isStaff(seat));
  const outside = seated(MAIN).map(({ id }) => id);
  const columns = [
    ...open.map(({ id, name }) => ({ id, room: id as string | null, name, people: seated(id).map((seat) => seat.id) })),
    ...(outside.length > 0 ? [{ id: MAIN, room: null, name: 'Main room', people: outside }] : []),
  ];
  const placeOf = (person: string) => sitting.seats.find(({ id }) => id === person)?.place;
  // Also those who are away and come back to it.
  const everyone = (room: string, people: string[]) => [
    ...new Set([
      ...people,
      ...sitting.seats.filter(({ place }) => place === room).map(({ id }) => id),
      ...(open.find(({ id }) => id === room)?.people ?? []),
    ]),
  ];
  return (
    <Box component="section" aria-label="Move people" sx={{ flex: 1, minHeight: 0, overflowY: 'auto' }}>
      <RoomsHead title={activity.name} says="Whoever you move goes at once.">
        {back}
      </RoomsHead>
      <Columns
        {...{ columns }}
        names={namesOf(sitting, offered?.known)}
        here={hereOf(sitting)}
        met={metFrom(offered?.met ?? [])}
        removable={open.length > 1}
        adding={rooms.add.isPending}
        onMove={(person, { room }) => rooms.assign(activity.id, person, room, placeOf(person))}
        onName={(room, name) => rooms.rename(activity.id, room, name)}
        onRemove={({ id, people }) => rooms.remove(activity.id, id, everyone(id, people))}
        onAdd={() => rooms.add.mutate({ activity: activity.id, name: `Room ${activity.rooms.length + 1}` })}
      />
    </Box>
  );
}
