import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { FIRST_PAGE } from '../../../api/contracts';
import type { Room, RoomPulse, Seat } from '../../../api/shapes';
import { PageThumb } from '../../../board/page/PageThumb';
import { useMarksByPage } from '../../../board/page/useMarksByPage';
import type { BoardState } from '../../../live/board';
import { useBoard, useServerNow } from '../../../live/hooks';
import type { PlaceState } from '../../../live/place';
import { Tile } from '../../../parts/frame/Tiles';
import { inWords } from '../../../parts/exchange/audience';
import { firstName, initials, isStaff, washOf } from '../../../parts/words/people';

interface Props {
  room: Room;
  place: PlaceState | undefined;
  people: Seat[];
  pulse: RoomPulse | undefined;
  /** Where there are few rooms. */
  large: boolean;
  onStepIn: () => void;
  onMore: () => void;
  /** Reads along from outside, where those in it know that one may. */
  onRead?: () => void;
  /** Hears it from outside, or no more, where those in it are told. */
  onHear?: () => void;
  hears?: boolean;
  /** Takes it away, and whoever is left in it to another room; absent where it is the only one. */
  onMerge?: () => void;
}

/** One room from outside: its board as it is drawn, who is in it, and whether it needs somebody. */
export function RoomCard({
  room,
  place,
  people,
  pulse,
  large,
  onStepIn,
  onMore,
  onRead,
  onHear,
  hears = false,
  onMerge,
}: Props) {
  const now = useServerNow(10_000);
  const board = useBoard(place?.shown?.board ?? room.boards[0]?.id);
  const needs = place?.call ? 'calls' : pulse?.still ? 'still' : null;
  return (
    <Tile label={room.name} edge={needs === 'calls' ? 'error.main' : needs === 'still' ? 'veranda.ochre' : undefined}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 1 }}>
        <Box component="h3" sx={{ m: 0, fontSize: 16 }}>
          {room.name}
        </Box>
        <Box role="status" sx={{ flex: 1, fontWeight: 700, color: needs === 'calls' ? 'error.main' : undefined }}>
          {place?.call && `calls, ${ago(now - place.call.since)}`}
          {needs === 'still' && `still for ${Math.floor(pulse!.quiet / 60_000)} min`}
        </Box>
        <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{stands(place, people)}</Box>
      </Box>
      <Box
        sx={{
          my: 1,
          height: large ? 136 : 108,
          overflow: 'hidden',
          border: 1,
          borderColor: 'divider',
          borderRadius: 1,
          bgcolor: 'background.default',
          '& svg': { width: '100%', height: 'auto' },
        }}
      >
        {board && <Small board={board} page={place?.shown?.page ?? FIRST_PAGE} width={large ? 320 : 208} />}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 0.5, mt: 'auto' }}>
        {people.map(({ id, name, presence }) => (
          <Box
            key={id}
            role="img"
            aria-label={presence === 'dropped' ? `${name}, away` : name}
            title={name}
            sx={{
              width: 34,
              height: 34,
              borderRadius: 1,
              display: 'grid',
              placeItems: 'center',
              fontSize: 13,
              fontWeight: 700,
              bgcolor: washOf(id),
              border: presence === 'dropped' ? '2px dashed' : 0,
              borderColor: 'divider',
            }}
          >
            {initials(name)}
          </Box>
        ))}
        <Box sx={{ flex: 1 }} />
        {pulse && <Bars parts={pulse.parts} />}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, '& button': { minHeight: { xs: 44, md: 32 } } }}>
          <Button size="small" variant="outlined" onClick={onStepIn} aria-label={`Step in: ${room.name}`}>
            Step in
          </Button>
          {onRead && (
            <Button size="small" onClick={onRead} aria-label={`Read: ${room.name}`}>
              Read
            </Button>
          )}
          {onHear && (
            <Button
              size="small"
              {...(hears && { variant: 'contained', color: 'primary' })}
              aria-pressed={hears}
              onClick={onHear}
              aria-label={`Hear: ${room.name}`}
            >
              {hears ? 'Hearing' : 'Hear'}
            </Button>
          )}
          <Button size="small" onClick={onMore} aria-label={`+2 min for ${room.name}`}>
            +2 min
          </Button>
          {onMerge && people.filter((seat) => !isStaff(seat)).length < 2 && (
            <Button size="small" onClick={onMerge} aria-label={`Merge ${room.name} into the smallest other room`}>
              Merge
            </Button>
          )}
        </Box>
      </Box>
    </Tile>
  );
}

function Small({ board, page, width }: { board: BoardState; page: string; width: number }) {
  const marks = useMarksByPage(board.marks);
  return <PageThumb marks={marks(page)} facts={board.facts.get(page)} width={width} />;
}

/** How much was done in each of the last minutes. */
function Bars({ parts }: { parts: number[] }) {
  const most = Math.max(...parts, 6);
  const done = parts.reduce((sum, part) => sum + part, 0);
  return (
    <Box
      role="img"
      aria-label={`${done} marks, posts and words in the last ${parts.length} minutes`}
      sx={{ display: 'flex', alignItems: 'flex-end', gap: '2px', height: 26 }}
    >
      {parts.map((part, i) => (
        <Box
          key={i}
          sx={{ width: 5, height: Math.max((part / most) * 26, 2), bgcolor: 'primary.main', opacity: 0.75 }}
        />
      ))}
    </Box>
  );
}

/** `2 of 4 done · hand: Ines` */
function stands(place: PlaceState | undefined, people: Seat[]): string {
  const students = people.filter((seat) => !isStaff(seat));
  const done = place?.signals.filter(
    ({ person, signal }) => signal === 'done' && students.some(({ id }) => id === person),
  );
  const hands = students.filter(({ id }) => place?.hands.includes(id)).map(({ name }) => firstName(name));
  const staff = people.filter(isStaff).map(({ name }) => firstName(name));
  return [
    students.length === 0
      ? 'nobody in it'
      : students.length === 1
        ? 'one alone'
        : `${done?.length ?? 0} of ${students.length} done`,
    hands.length > 0 && `hand: ${inWords(hands)}`,
    staff.length > 0 && `${inWords(staff)} is there`,
  ]
    .filter(Boolean)
    .join(' · ');
}

const ago = (ms: number) => (ms < 60_000 ? 'just now' : `${Math.floor(ms / 60_000)} min ago`);
