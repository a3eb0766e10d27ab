import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useState, type ReactNode } from 'react';
import type { Activity, Room } from '../../../api/shapes';
import { useFollowed } from '../../../live/hooks';
import type { SittingState } from '../../../live/sitting';
import { Tiles } from '../../../parts/frame/Tiles';
import { RoomsHead } from './RoomsPage';
import { inPlace } from './rooms';
import { usePutting, type Piece } from './usePutting';
import { WorkTile } from './WorkTile';

interface Props {
  sitting: SittingState;
  activity: Activity;
  /** Once it is before the class. */
  onShown: () => void;
  /** Where else one can go. */
  children: ReactNode;
}

/** Boards that are followed at once, at most. */
const MOST_FOLLOWED = 30;

/** For staff: what the rooms made. One room's board is put before the class, or pages and marks of several side by side on one. */
export function Work({ sitting, activity, onShown, children }: Props) {
  const [chosen, setChosen] = useState<Piece[]>([]);
  const [lend, setLend] = useState(true);
  const rooms = activity.rooms.filter(({ boards }) => boards.length > 0);
  useFollowed(rooms.flatMap(({ boards }) => boards.map(({ id }) => id)).slice(0, MOST_FOLLOWED));
  const putting = usePutting(sitting, activity, onShown);
  const choose = (room: Room, piece: Piece | null) => {
    const others = chosen.filter((one) => one.room !== room.id);
    // In the order of the rooms, however they were chosen.
    const places = new Map(rooms.map(({ id }, i) => [id, i]));
    setChosen(
      [...others, ...(piece ? [piece] : [])].sort((one, other) => places.get(one.room)! - places.get(other.room)!),
    );
  };
  const everyone = chosen.length === rooms.length;
  return (
    <Box
      component="section"
      aria-label="What the rooms made"
      sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}
    >
      <RoomsHead title={`${activity.name}: what they made`} says="Choose one, or several.">
        {children}
        <Button
          variant="contained"
          color="primary"
          disabled={chosen.length === 0 || putting.isPending}
          onClick={() => putting.mutate({ pieces: chosen, lend })}
        >
          {chosen.length < 2 ? 'Put it before the class' : `Put ${chosen.length} side by side`}
        </Button>
      </RoomsHead>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, px: 0.5, pb: 0.5 }}>
        <FormControlLabel
          label="Lend the floor to those who made it"
          sx={{ minHeight: { xs: 44, md: 34 } }}
          control={<Switch size="small" checked={lend} onChange={(_, on) => setLend(on)} />}
        />
        <Button
          size="small"
          onClick={() => setChosen(everyone ? [] : rooms.map((room) => asPiece(room)))}
          sx={{ minHeight: { xs: 44, md: 34 } }}
        >
          {everyone ? 'Choose none' : 'Choose all'}
        </Button>
      </Box>
      <Tiles width={rooms.length <= 4 ? 320 : 232}>
        {rooms.map((room) => (
          <Box component="li" key={room.id}>
            <WorkTile
              room={room}
              names={namesOf(room, sitting)}
              piece={chosen.find((one) => one.room === room.id) ?? null}
              onPiece={(piece) => choose(room, piece)}
              fresh={() => asPiece(room)}
            />
          </Box>
        ))}
      </Tiles>
    </Box>
  );
}

const asPiece = (room: Room): Piece => ({ room: room.id, board: room.boards[0]!.id, page: null, marks: [] });

function namesOf(room: Room, sitting: SittingState): string[] {
  const people = room.open ? inPlace(sitting, room.id).map(({ id }) => id) : room.sat;
  return people.flatMap((person) => sitting.seats.find(({ id }) => id === person)?.name ?? []);
}
