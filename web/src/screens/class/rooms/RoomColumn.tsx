import { useDraggable, useDroppable } from '@dnd-kit/core';
import { CSS } from '@dnd-kit/utilities';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState, type ReactNode } from 'react';
import { inWords } from '../../../parts/exchange/audience';
import { firstName, washOf } from '../../../parts/words/people';
import { Words } from '../../../parts/words/Words';
import { pairOf, type Met } from './rooms';

export interface Column {
  id: string;
  /** Null for those who are in none. */
  room: string | null;
  name: string;
  people: string[];
}

interface Props {
  column: Column;
  others: Column[];
  names: Map<string, string>;
  /** Ids of those who are in the class; null while it has not begun. */
  here: ReadonlySet<string> | null;
  met: Met;
  onMove: (person: string, to: string) => void;
  onName: (name: string) => void;
  /** Absent where it is the only room. */
  onRemove?: () => void;
  /** What else there is to choose for it. */
  children?: ReactNode;
}

/** One room: its name, and those who are in it or will be. */
export function RoomColumn({ column, others, names, here, met, onMove, onName, onRemove, children }: Props) {
  const { setNodeRef, isOver } = useDroppable({ id: column.id });
  return (
    <Box
      ref={setNodeRef}
      component="section"
      aria-label={column.name}
      sx={{
        minWidth: 0,
        p: 1.25,
        border: 1,
        borderColor: isOver ? 'primary.main' : 'divider',
        borderRadius: 1,
        bgcolor: 'background.paper',
        display: 'flex',
        flexDirection: 'column',
        gap: 0.75,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 40 }}>
        {column.room ? (
          <Words label={`Name, ${column.people.length} in it`} value={column.name} most={40} onSave={onName} />
        ) : (
          <strong>{column.name}</strong>
        )}
        {column.room && onRemove && (
          <Button
            size="small"
            aria-label={`Take out ${column.name}`}
            title="Take this room away"
            onClick={onRemove}
            sx={{ minWidth: 0, px: 1 }}
          >
            Out
          </Button>
        )}
      </Box>
      {children}
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 0.75, minHeight: 44 }}>
        {column.people.map((person) => (
          <Box component="li" key={person} sx={{ minWidth: 0 }}>
            <Chip
              person={person}
              name={names.get(person) ?? 'Somebody'}
              away={here !== null && !here.has(person)}
              again={
                column.room
                  ? column.people
                      .filter((other) => met.has(pairOf(person, other)))
                      .map((other) => names.get(other) ?? '')
                  : []
              }
              others={others}
              onMove={onMove}
            />
          </Box>
        ))}
      </Box>
    </Box>
  );
}

interface ChipProps {
  person: string;
  name: string;
  /** Whether they are expected and not here. */
  away: boolean;
  /** Names of those in the room whom they have sat with before. */
  again: string[];
  others: Column[];
  onMove: Props['onMove'];
}

/** Somebody in a room: dragged to another, or moved by the list that opens. */
function Chip({ person, name, away, again, others, onMove }: ChipProps) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: person });
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Box
        ref={setNodeRef}
        component="button"
        type="button"
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        {...listeners}
        style={{ transform: CSS.Translate.toString(transform) }}
        sx={{
          width: 1,
          minHeight: { xs: 44, md: 38 },
          px: 1,
          py: 0.5,
          font: 'inherit',
          color: 'inherit',
          textAlign: 'left',
          overflowWrap: 'anywhere',
          border: 1,
          borderColor: 'divider',
          borderLeft: '5px solid',
          borderLeftColor: washOf(person),
          borderRadius: 1,
          bgcolor: 'background.default',
          cursor: 'grab',
          touchAction: 'none',
          position: 'relative',
          zIndex: isDragging ? 2 : undefined,
        }}
      >
        {name}
        {away && (
          <Box component="span" sx={{ display: 'block', fontSize: 13, color: 'text.secondary' }}>
            not here yet
          </Box>
        )}
        {again.length > 0 && (
          <Box component="span" sx={{ display: 'block', fontSize: 13, color: 'text.secondary' }}>
            before with {inWords(again.map(firstName))}
          </Box>
        )}
      </Box>
      <Menu anchorEl={anchor} open={!!anchor} onClose={() => setAnchor(null)}>
        {others.map(({ id, name: to, room }) => (
          <MenuItem
            key={id}
            onClick={() => {
              setAnchor(null);
              onMove(person, id);
            }}
          >
            {room ? `Move to ${to}` : 'Take out of the room'}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
