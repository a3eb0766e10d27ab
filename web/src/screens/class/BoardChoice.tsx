import Box from '@mui/material/Box';
import { useLive } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import { firstPage, type StaffState } from '../../live/staff';

interface Props {
  staff: StaffState;
  place: PlaceState;
  room: string;
  /** Looks at a board that the class cannot see. */
  onLook: (board: string, page: string) => void;
}

/** The boards of the class, one of which is on show. One that only staff can see they look at for themselves. */
export function BoardChoice({ staff, place, room, onLook }: Props) {
  const live = useLive();
  return (
    <Box>
      <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 0.5 }}>Boards</Box>
      {staff.boards.map((board) => {
        const shown = place.shown?.board === board.id;
        return (
          <Box
            key={board.id}
            component="button"
            aria-pressed={shown}
            onClick={() => {
              const page = firstPage(staff, board.id);
              if (board.audience === 'staff') onLook(board.id, page);
              else void live.do('class.show', room, { board: board.id, page });
            }}
            sx={{
              display: 'block',
              width: 1,
              textAlign: 'left',
              border: 'none',
              borderLeft: '3px solid',
              borderColor: shown ? 'primary.main' : 'transparent',
              bgcolor: shown ? 'veranda.wash' : 'transparent',
              font: 'inherit',
              fontSize: 14,
              color: 'inherit',
              px: 1,
              py: 0.6,
              cursor: 'pointer',
            }}
          >
            {board.name}
            {board.audience === 'staff' && (
              <Box component="span" sx={{ display: 'block', fontSize: 13, color: 'text.secondary' }}>
                for staff
              </Box>
            )}
          </Box>
        );
      })}
    </Box>
  );
}
