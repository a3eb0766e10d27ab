import { DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { movingWords } from '../../../parts/words/moving';
import { RoomColumn, type Column } from './RoomColumn';
import type { Met } from './rooms';

interface Props {
  /** Of everybody who is in one. */
  names: Map<string, string>;
  /** Ids of those who are in the class; null while it has not begun. */
  here: ReadonlySet<string> | null;
  columns: Column[];
  met: Met;
  /** Whether one may be taken away. */
  removable: boolean;
  adding: boolean;
  /** What else there is to choose for a room. */
  more?: (column: Column) => ReactNode;
  onMove: (person: string, to: Column) => void;
  onName: (room: string, name: string) => void;
  onRemove: (column: Column) => void;
  onAdd: () => void;
}

/** Who is in which room, as columns between which people are dragged, or moved by the list of each name. */
export function Columns({
  names,
  here,
  columns,
  met,
  removable,
  adding,
  more,
  onMove,
  onName,
  onRemove,
  onAdd,
}: Props) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const move = (person: string, to: string) => {
    const column = columns.find(({ id }) => id === to);
    if (column && !column.people.includes(person)) onMove(person, column);
  };
  const nameOf = (id: string) => columns.find((column) => column.id === id)?.name ?? '';
  return (
    <DndContext
      accessibility={{ announcements: movingWords((id) => names.get(id) ?? '', nameOf) }}
      sensors={sensors}
      onDragEnd={({ active, over }) => over && move(String(active.id), String(over.id))}
    >
      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          px: 0.5,
          gridTemplateColumns: 'repeat(auto-fill, minmax(min(176px, 100%), 1fr))',
          alignItems: 'start',
        }}
      >
        {columns.map((column) => (
          <RoomColumn
            key={column.id}
            column={column}
            others={columns.filter(({ id }) => id !== column.id)}
            names={names}
            here={here}
            met={met}
            onMove={move}
            onName={(name) => onName(column.id, name)}
            onRemove={removable ? () => onRemove(column) : undefined}
          >
            {column.room && more?.(column)}
          </RoomColumn>
        ))}
        <Button disabled={adding} onClick={onAdd} sx={{ minHeight: 44, borderStyle: 'dashed' }}>
          Add a room
        </Button>
      </Box>
    </DndContext>
  );
}
