import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import type { Seat, You } from '../../../api/shapes';
import { useServerNow } from '../../../live/hooks';
import type { PlaceState } from '../../../live/place';
import { isRecording, openRooms, type SittingState } from '../../../live/sitting';
import { MAIN } from '../../../live/streams';
import { inWords } from '../../../parts/exchange/audience';
import { MenuWord } from '../../../parts/fields/MenuWord';
import { Line } from '../../../parts/frame/Line';
import { firstName } from '../../../parts/words/people';
import { minutesAndSeconds } from '../../../parts/words/times';
import { useStageState } from '../../../stage/useStage';
import { inPlace, timeOf } from './rooms';
import { useRooms } from './useRooms';

interface Props {
  sitting: SittingState;
  place: PlaceState;
  /** The room one is in. */
  at: string;
  you: You;
}

/** Inside a breakout room: its name, what is to be done in it, how much time is left, and the way to call, change or leave. */
export function RoomLine({ sitting, place, at, you }: Props) {
  const rooms = useRooms(sitting.id);
  const stage = useStageState();
  const room = place.room;
  if (!room || room.closed) return null;
  const visitors = inPlace(sitting, at).filter(
    ({ role, id }) => id !== you.id && role !== 'student' && role !== 'guest',
  );
  const heardBy = stage?.heardBy ?? [];
  const hearers = sitting.seats.filter(({ id }) => heardBy.includes(id)).map(({ name }) => firstName(name));
  const leads = leadWords(
    inPlace(sitting, at).filter(({ id }) => room.leaders.includes(id)),
    you,
  );
  return (
    <Box component="section" aria-label={`Room ${room.name}`} sx={{ mb: 0.5 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 1.5, px: 1 }}>
        <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
          {room.name}
        </Box>
        <Box sx={{ flex: 1, minWidth: 160, color: 'text.secondary', fontSize: 14 }}>
          {room.title}
          <Box component="span" role="status">
            {!room.quiet && visitors.length > 0 && ` · ${hereWords(visitors.map(({ name }) => firstName(name)))}`}
            {hearers.length > 0 && ` · ${inWords(hearers)} ${hearers.length > 1 ? 'hear' : 'hears'} you from outside`}
          </Box>
          {leads && ` · ${leads}`}
        </Box>
        <RoomTime room={room} />
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, '& button': { minHeight: { xs: 44, md: 32 } } }}>
          {room.free && !you.staff && <OtherRoom {...{ sitting, at }} onGo={(to) => rooms.go(to, at)} />}
          {!you.staff && (
            <Button
              size="small"
              variant={place.call ? 'outlined' : 'text'}
              aria-pressed={!!place.call}
              onClick={() => rooms.call(at, !place.call)}
            >
              {place.call ? 'You call: take it back' : 'Call the instructor'}
            </Button>
          )}
          {you.staff && (
            <Button size="small" variant="outlined" title="Key: o" onClick={() => rooms.stepIn(MAIN, at)}>
              Step out
            </Button>
          )}
        </Box>
      </Box>
      <Box tabIndex={0} sx={{ px: 1, maxHeight: { xs: 64, md: 140 }, overflowY: 'auto' }}>
        {room.words && <Box sx={{ fontSize: 15, whiteSpace: 'pre-wrap' }}>{room.words}</Box>}
        <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{kept(sitting.rehearsal, room, isRecording(sitting))}</Box>
      </Box>
      <Box sx={{ maxHeight: { xs: 88, md: 'none' }, overflowY: 'auto' }}>
        <Announced place={place} />
      </Box>
    </Box>
  );
}

/** `Farah leads`, `You lead` */
function leadWords(leaders: Seat[], you: You): string | null {
  if (leaders.length === 0) return null;
  const names = leaders.map(({ id, name }) => (id === you.id ? 'you' : firstName(name)));
  const said = inWords(names);
  return `${said.charAt(0).toUpperCase()}${said.slice(1)} ${names.length > 1 || names[0] === 'you' ? 'lead' : 'leads'}`;
}

const hereWords = (names: string[]) => `${inWords(names)} ${names.length > 1 ? 'are' : 'is'} here`;

/** What becomes of what is made in a room, and who reads it meanwhile. */
const kept = (rehearsal: boolean, { read, recorded }: NonNullable<PlaceState['room']>, recording: boolean) =>
  (rehearsal
    ? 'The board and what all write go with the rehearsal'
    : `${recording ? 'Recorded' : 'Kept'}: the board, what all write${recorded && recording ? ', sound and picture' : ''}, for those who sit here and whoever teaches`) +
  (read ? '. Whoever teaches may read along and hear you from outside.' : '.');

/** How much time a room has; warnings are told, the seconds are not. */
export function RoomTime({ room }: { room: NonNullable<PlaceState['room']> }) {
  const now = useServerNow(500);
  const { left, finish, says } = timeOf(room, now);
  if (left === null) return <Box sx={{ fontSize: 14 }}>held open</Box>;
  return (
    <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
      <Box role="status" sx={{ fontSize: 14, fontWeight: 700, color: finish !== null ? 'error.main' : undefined }}>
        {says}
      </Box>
      <Box
        role="timer"
        sx={{
          fontFamily: 'h2.fontFamily',
          fontSize: 22,
          fontWeight: 700,
          fontVariantNumeric: 'tabular-nums',
          color: finish !== null ? 'error.main' : undefined,
        }}
      >
        {minutesAndSeconds(finish ?? left)}
      </Box>
    </Box>
  );
}

/** What was said to all rooms, until it was read. */
function Announced({ place }: { place: PlaceState }) {
  const [read, setRead] = useState<string[]>([]);
  return place.announced
    .filter(({ id }) => !read.includes(id))
    .map(({ id, words, name }) => (
      <Line key={id} label="To every room" marked says={`${firstName(name)}: ${words}`}>
        <Button size="small" onClick={() => setRead([...read, id])}>
          I have read it
        </Button>
      </Line>
    ));
}

interface OtherRoomProps {
  sitting: SittingState;
  at: string;
  onGo: (room: string) => void;
}

/** The way to another room, where people may choose. */
export function OtherRoom({ sitting, at, onGo }: OtherRoomProps) {
  const named = sitting.activities.at(-1)?.named ?? false;
  const whoIn = (id: string) => {
    const people = inPlace(sitting, id);
    return named && people.length > 0 ? inWords(people.map(({ name }) => firstName(name))) : `${people.length} in it`;
  };
  return (
    <MenuWord label={at === MAIN ? 'Choose a room' : 'Go to another room'} hint="Rooms that are open">
      {(close) =>
        openRooms(sitting)
          .filter(({ id }) => id !== at)
          .map(({ id, name }) => (
            <MenuItem key={id} onClick={() => close(() => onGo(id))}>
              {name} ({whoIn(id)})
            </MenuItem>
          ))
      }
    </MenuWord>
  );
}
