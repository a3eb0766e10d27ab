import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState, type ReactNode } from 'react';
import type { Activity, Room, Seat } from '../../../api/shapes';
import { useConnection, useFollowed, usePlace, useStreams } from '../../../live/hooks';
import type { PlaceState } from '../../../live/place';
import type { SittingState } from '../../../live/sitting';
import { MAIN, placeStream } from '../../../live/streams';
import { MenuWord } from '../../../parts/fields/MenuWord';
import { Tiles } from '../../../parts/frame/Tiles';
import { isStaff } from '../../../parts/words/people';
import { count } from '../../../parts/words/times';
import { useStage, useStageState } from '../../../stage/useStage';
import { Moving } from './Moving';
import { Reading } from './Reading';
import { RoomsHead } from './RoomsPage';
import { RoomCard } from './RoomCard';
import { RoomTime } from './RoomLine';
import { inPlace } from './rooms';
import { usePulse, useRooms } from './useRooms';
import { Work } from './Work';

interface Props {
  sitting: SittingState;
  activity: Activity;
  /** The place that one is in. */
  at: string;
  back: ReactNode;
  /** Looks at the board of the class again. */
  onLeave: () => void;
}

/** What one does besides looking at all rooms: moving people, putting work before the class, reading one of them. */
type Doing = { what: 'moving' | 'work' } | { what: 'reading'; room: string };

/** Boards that are followed as they are drawn, at most. */
const MOST_FOLLOWED = 30;
const MORE = 120;

/** For staff: every room at once, alive; who is in it, what they do, which one calls or has fallen still; and what one does for all. */
export function WalkRound({ sitting, activity, at, back, onLeave }: Props) {
  const [doing, setDoing] = useState<Doing | null>(null);
  const round = <Button onClick={() => setDoing(null)}>All rooms</Button>;
  const read = doing?.what === 'reading' ? activity.rooms.find(({ id, open }) => open && id === doing.room) : undefined;
  if (read)
    return (
      <Reading sitting={sitting.id} room={read}>
        {round}
      </Reading>
    );
  if (doing?.what === 'moving') return <Moving {...{ sitting, activity }} back={round} />;
  if (doing?.what === 'work')
    return (
      <Work {...{ sitting, activity }} onShown={onLeave}>
        {round}
      </Work>
    );
  return <AllRooms {...{ sitting, activity, at, back }} onDo={setDoing} />;
}

function AllRooms({ sitting, activity, at, back, onDo }: Omit<Props, 'onLeave'> & { onDo: (doing: Doing) => void }) {
  const rooms = useRooms(sitting.id);
  const stage = useStage();
  const stageState = useStageState();
  const me = useConnection().you?.id ?? '';
  const open = activity.rooms.filter((room) => room.open);
  const ids = open.map(({ id }) => id);
  const places = useStreams<PlaceState>(ids.map((id) => placeStream(sitting.id, id)));
  const pulse = new Map(usePulse(sitting.id, activity.id).map((row) => [row.room, row]));
  useFollowed(open.flatMap(({ boards }) => boards.slice(0, 1).map(({ id }) => id)).slice(0, MOST_FOLLOWED));
  const last = places.map((place) => place?.room).sort((one, other) => (other?.ends_at ?? 0) - (one?.ends_at ?? 0))[0];
  const held = places.some((place) => place?.room && place.room.ends_at === null);
  const merge = (room: Room) => {
    // Also those who are away and come back.
    const seats = sitting.seats.filter(({ place }) => place === room.id).map(({ id }) => id);
    rooms.remove(activity.id, room.id, [...new Set([...seats, ...room.people])]);
  };
  const done = open.filter(({ id }, i) => allDone(places[i], inPlace(sitting, id))).length;
  const outside = inPlace(sitting, MAIN).length;
  const mine = usePlace(sitting.id)?.shown;
  const board = mine && sitting.boards.find(({ id }) => id === mine.board);
  return (
    <Box
      component="section"
      aria-label="Walk round"
      sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}
    >
      <RoomsHead
        title={activity.name}
        says={
          done === open.length && done > 0 ? (
            <strong>All rooms are done.</strong>
          ) : (
            `${count(open.length, 'room')}, ${done} done · ${outside} outside`
          )
        }
      >
        {last && !held && <RoomTime room={last} />}
        {held && <Box sx={{ fontSize: 14 }}>held open</Box>}
        <Button title="All rooms" onClick={() => rooms.more(activity.id, ids, MORE)}>
          +2 min
        </Button>
        {!held && <Button onClick={() => rooms.hold(activity.id, ids)}>Hold open</Button>}
        <Button variant="contained" color="primary" onClick={() => rooms.bringBack(activity.id, ids)}>
          Bring everyone back
        </Button>
      </RoomsHead>
      <Announce onSay={(words) => rooms.announce(activity.id, ids, words)}>
        {stageState?.place && at === MAIN && <Address {...{ sitting, me, sharing: stageState.screen !== null }} />}
        <MenuWord label="More" hint="For all rooms">
          {(close) => [
            <MenuItem key="move" onClick={() => close(() => onDo({ what: 'moving' }))}>
              Move people
            </MenuItem>,
            <MenuItem key="work" onClick={() => close(() => onDo({ what: 'work' }))}>
              Put their work before the class
            </MenuItem>,
            board && (
              <MenuItem
                key="read"
                onClick={() => close(() => ids.forEach((id) => rooms.show(id, board.id, mine.page)))}
              >
                Show “{board.name}” in every room
              </MenuItem>
            ),
            board && (
              <MenuItem
                key="copy"
                disabled={rooms.give.isPending}
                onClick={() => close(() => rooms.give.mutate({ activity: activity.id, board: board.id }))}
              >
                Give every room a copy of “{board.name}”
              </MenuItem>
            ),
          ]}
        </MenuWord>
        {back}
      </Announce>
      <Tiles width={open.length <= 4 ? 320 : 208}>
        {open.map((room, i) => (
          <Box component="li" key={room.id}>
            <RoomCard
              room={room}
              place={places[i]}
              people={inPlace(sitting, room.id)}
              pulse={pulse.get(room.id)}
              large={open.length <= 4}
              onStepIn={() => rooms.stepIn(room.id, at)}
              onMore={() => rooms.more(activity.id, [room.id], MORE)}
              onRead={places[i]?.room?.read ? () => onDo({ what: 'reading', room: room.id }) : undefined}
              hears={stageState?.hears === room.id}
              onHear={
                stage && stageState?.place && places[i]?.room?.read && room.id !== at
                  ? () => stage.overhear(stageState.hears === room.id ? null : room.id)
                  : undefined
              }
              onMerge={open.length > 1 ? () => merge(room) : undefined}
            />
          </Box>
        ))}
      </Tiles>
    </Box>
  );
}

const ON = { variant: 'contained', color: 'primary' } as const;

/** One is heard in every room, and one's screen is seen there while one shares it. */
function Address({ sitting, me, sharing }: { sitting: SittingState; me: string; sharing: boolean }) {
  const rooms = useRooms(sitting.id);
  const mine = sitting.address?.person === me ? sitting.address : null;
  const [voice, screen] = [mine?.voice ?? false, mine?.screen ?? false];
  return (
    <>
      <Button aria-pressed={voice} {...(voice && ON)} onClick={() => rooms.address(!voice, screen)}>
        Speak to every room
      </Button>
      {(sharing || screen) && (
        <Button aria-pressed={screen} {...(screen && ON)} onClick={() => rooms.address(voice, !screen)}>
          Screen in every room
        </Button>
      )}
    </>
  );
}

/** Whether everybody who learns in a room has said that they are done. */
function allDone(place: PlaceState | undefined, people: Seat[]): boolean {
  const students = people.filter((seat) => !isStaff(seat));
  const done = new Set(place?.signals.filter(({ signal }) => signal === 'done').map(({ person }) => person));
  return students.length > 0 && students.every(({ id }) => done.has(id));
}

/** Words to every room. */
function Announce({ onSay, children }: { onSay: (words: string) => Promise<unknown>; children: ReactNode }) {
  const [words, setWords] = useState('');
  const say = () => {
    if (words.trim() === '') return;
    void onSay(words).then(() => setWords(''));
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, px: 0.5, pb: 1, '& button': { flex: 'none' } }}>
      <TextField
        size="small"
        sx={{ flex: '1 1 260px' }}
        label="Say to every room, until they have read it"
        value={words}
        onChange={({ target }) => setWords(target.value)}
        onKeyDown={(event) => event.key === 'Enter' && !event.nativeEvent.isComposing && say()}
        slotProps={{ htmlInput: { maxLength: 500, dir: 'auto' } }}
      />
      <Button disabled={words.trim() === ''} onClick={say}>
        Announce
      </Button>
      {children}
    </Box>
  );
}
