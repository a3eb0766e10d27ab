import { DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type ReactNode } from 'react';
import type { Activity } from '../../../api/shapes';
import type { SittingState } from '../../../live/sitting';
import type { StaffState } from '../../../live/staff';
import { count } from '../../../parts/words/times';
import { RoomsHead } from './RoomsPage';
import { RoomColumn } from './RoomColumn';
import { metFrom } from './rooms';
import { useOffered, useRooms } from './useRooms';

interface Props {
  sitting: SittingState;
  staff: StaffState;
  activity: Activity;
  back: ReactNode;
}

/** Before rooms open: who will be where, as columns between which people are moved, with whom they have met before. */
export function Dealt({ sitting, activity, back }: Props) {
  const rooms = useRooms(sitting.id);
  const offered = useOffered(sitting.id, activity.id);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const { plan } = activity;
  const placed = new Set(activity.rooms.flatMap(({ people }) => people));
  const without = (offered?.people ?? []).filter((id) => !placed.has(id));
  const met = metFrom(offered?.met ?? []);
  const columns = [
    ...activity.rooms.map((room) => ({ ...room, room: room.id as string | null })),
    ...(without.length > 0 ? [{ id: NONE, room: null, name: 'In no room yet', people: without }] : []),
  ];
  const move = (person: string, to: string) => rooms.assign(activity.id, person, to === NONE ? null : to);
  return (
    <Box component="section" aria-label="Who is where" sx={{ flex: 1, minHeight: 0, overflowY: 'auto' }}>
      <RoomsHead
        title={`${activity.name}: not yet opened`}
        says={`Drag a name, or choose it. ${plan.minutes ? `${plan.minutes} min.` : 'Held open.'}`}
      >
        {back}
        {(plan.way ?? 'deal') === 'deal' && (
          <Button
            disabled={rooms.deal.isPending}
            onClick={() => rooms.deal.mutate({ plan, name: activity.name, step: activity.step, activity: activity.id })}
          >
            Deal again
          </Button>
        )}
        <Button
          variant="contained"
          color="primary"
          disabled={rooms.open.isPending}
          onClick={() => rooms.open.mutate(activity.id)}
        >
          Open {count(activity.rooms.length, 'room')}
        </Button>
      </RoomsHead>
      {activity.says.length > 0 && (
        <Box role="status" sx={{ mb: 1.5, mx: 0.5, p: 1.25, borderRadius: 1, bgcolor: 'veranda.ochreWash' }}>
          {activity.says.map((words) => (
            <Box key={words}>{words}</Box>
          ))}
        </Box>
      )}
      <DndContext sensors={sensors} onDragEnd={({ active, over }) => over && move(String(active.id), String(over.id))}>
        <Box
          sx={{
            display: 'grid',
            gap: 1.5,
            px: 0.5,
            gridTemplateColumns: 'repeat(auto-fill, minmax(min(168px, 100%), 1fr))',
            alignItems: 'start',
          }}
        >
          {columns.map((column) => (
            <RoomColumn
              key={column.id}
              column={column}
              others={columns.filter(({ id }) => id !== column.id)}
              sitting={sitting}
              met={met}
              onMove={move}
              onName={(name) => rooms.rename(activity.id, column.id, name)}
              onRemove={
                activity.rooms.length > 1 ? () => rooms.remove(activity.id, column.id, column.people) : undefined
              }
            />
          ))}
          <Button
            disabled={rooms.add.isPending}
            onClick={() => rooms.add.mutate({ activity: activity.id, name: `Room ${activity.rooms.length + 1}` })}
            sx={{ minHeight: 44, borderStyle: 'dashed' }}
          >
            Add a room
          </Button>
        </Box>
      </DndContext>
    </Box>
  );
}

/** Those who are in no room. */
const NONE = 'none';
