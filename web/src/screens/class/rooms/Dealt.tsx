import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type ReactNode } from 'react';
import type { Activity } from '../../../api/shapes';
import type { SittingState } from '../../../live/sitting';
import type { StaffState } from '../../../live/staff';
import { count } from '../../../parts/words/times';
import { RoomsHead } from './RoomsPage';
import { BoardFor } from './BoardFor';
import { Columns } from './Columns';
import { Matrix } from './Matrix';
import { hereOf, metFrom, namesOf } from './rooms';
import { useOffered, useRooms } from './useRooms';

interface Props {
  sitting: SittingState;
  staff: StaffState;
  activity: Activity;
  back: ReactNode;
  /** What else there is to do. */
  more?: ReactNode;
}

/** Before rooms open: who will be where, as columns between which people are moved, with whom they have met before. */
export function Dealt({ sitting, activity, back, more }: Props) {
  const rooms = useRooms(sitting.id);
  const offered = useOffered(sitting.id, activity.id);
  const { plan } = activity;
  const placed = new Set(activity.rooms.flatMap(({ people }) => people));
  const names = namesOf(sitting, offered?.known);
  const without = (offered?.people ?? []).map(({ id }) => id).filter((id) => !placed.has(id));
  const met = metFrom(offered?.met ?? []);
  const columns = [
    ...activity.rooms.map((room) => ({ ...room, room: room.id as string | null })),
    ...(without.length > 0 ? [{ id: NONE, room: null, name: 'In no room yet', people: without }] : []),
  ];
  return (
    <Box component="section" aria-label="Who is where" sx={{ flex: 1, minHeight: 0, overflowY: 'auto' }}>
      <RoomsHead title={activity.name} says={`not yet opened · ${plan.minutes ? `${plan.minutes} min` : 'held open'}`}>
        {back}
        {(plan.way ?? 'deal') === 'deal' && (
          <Button
            disabled={rooms.deal.isPending}
            onClick={() =>
              rooms.deal.mutate({
                plan,
                name: activity.name,
                step: activity.step,
                activity: activity.id,
                cue: activity.cue,
              })
            }
          >
            Deal again
          </Button>
        )}
        {more}
        {sitting.status === 'open' && (
          <Button
            variant="contained"
            color="primary"
            disabled={rooms.open.isPending}
            onClick={() => rooms.open.mutate(activity.id)}
          >
            Open {count(activity.rooms.length, 'room')}
          </Button>
        )}
      </RoomsHead>
      {activity.says.length > 0 && (
        <Box role="status" sx={{ mb: 1.5, mx: 0.5, p: 1.25, borderRadius: 1, bgcolor: 'veranda.ochreWash' }}>
          {activity.says.map((words) => (
            <Box key={words}>{words}</Box>
          ))}
        </Box>
      )}
      <Columns
        {...{ names, columns, met }}
        here={hereOf(sitting)}
        removable={activity.rooms.length > 1}
        adding={rooms.add.isPending}
        more={({ id }) => (
          <BoardFor
            room={activity.rooms.find((room) => room.id === id)!}
            boards={sitting.boards}
            onChoose={(from) => rooms.chooseBoards(activity.id, id, from)}
          />
        )}
        onMove={(person, { room }) => rooms.assign(activity.id, person, room)}
        onName={(room, name) => rooms.rename(activity.id, room, name)}
        onRemove={({ id, people }) => rooms.remove(activity.id, id, people)}
        onAdd={() => rooms.add.mutate({ activity: activity.id, name: `Room ${activity.rooms.length + 1}` })}
      />
      <Matrix rooms={activity.rooms} met={met} names={names} />
    </Box>
  );
}

/** Those who are in no room. */
const NONE = 'none';
