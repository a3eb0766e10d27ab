import Box from '@mui/material/Box';
import { FIRST_PAGE } from '../../api/contracts';
import type { SittingBoard } from '../../api/shapes';
import { MakeBoard } from './MakeBoard';
import type { OwnState } from '../../live/own';
import type { PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';

interface Props {
  sitting: SittingState;
  own: OwnState;
  /** The breakout room that one is in, if any. */
  room: PlaceState['room'];
  /** The board on the paper. */
  shown: string | undefined;
  onLook: (board: string, page: string) => void;
  /** Whether one may make boards. */
  makes: boolean;
}

/** The boards that are for somebody and not for all: those that name them, and their copies of what was handed out. */
export function ForYou({ sitting, own, room, shown, onLook, makes }: Props) {
  const names = new Map(sitting.boards.map(({ id, name }) => [id, name]));
  const kept = own.copies.filter(({ of }) => !sitting.handed.includes(of) || shown !== of);
  const boards = [
    ...(room && !room.closed ? room.boards : []).map(asBoard),
    ...own.rooms.flatMap((row) => row.boards.map(asBoard)),
    ...own.boards.map(asBoard),
    ...kept.map(({ board, of }) => ({
      id: board,
      name: `Your copy of ${names.get(of) ?? 'a board'}`,
      page: FIRST_PAGE,
    })),
  ].filter(({ id }) => id !== shown);
  if (boards.length === 0 && !makes) return null;
  return (
    <Box
      component="nav"
      aria-label="Also for you"
      sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 0.5, px: 1, fontSize: 14, overflowX: 'auto' }}
    >
      {boards.length > 0 && <Box sx={{ flex: 'none', color: 'text.secondary' }}>Also for you:</Box>}
      {boards.map(({ id, name, page }) => (
        <Box
          key={id}
          component="button"
          type="button"
          onClick={() => onLook(id, page)}
          sx={{
            flex: 'none',
            minHeight: { xs: 44, md: 28 },
            px: 1,
            font: 'inherit',
            color: 'primary.main',
            bgcolor: 'transparent',
            border: 1,
            borderColor: 'divider',
            borderRadius: 1,
            cursor: 'pointer',
          }}
        >
          {name}
        </Box>
      ))}
      {makes && <MakeBoard sitting={sitting.id} onMade={(board) => onLook(board, FIRST_PAGE)} />}
    </Box>
  );
}

const asBoard = ({ id, name, first_page }: SittingBoard) => ({ id, name, page: first_page ?? FIRST_PAGE });
