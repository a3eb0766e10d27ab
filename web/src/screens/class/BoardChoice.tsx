import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { StaffBoard } from '../../api/shapes';
import { useLive } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';
import { firstPage, type StaffState } from '../../live/staff';
import { sittingStream } from '../../live/streams';
import { firstName } from '../../parts/words/people';
import { count } from '../../parts/words/times';
import { BoardsForWhom } from './BoardsForWhom';

interface Props {
  sitting: SittingState;
  staff: StaffState;
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  /** Looks at a board that the class cannot see. */
  onLook: (board: string, page: string) => void;
  /** Looks at everybody's copies of a board; or, null, no more at them. */
  onWall: (board: string | null) => void;
  /** Id of the lesson. */
  lesson: string;
}

/** The boards of the class, one of which is on show. One that not everyone can see staff look at for themselves. */
export function BoardChoice({ sitting, staff, place, room, lesson, onLook, onWall }: Props) {
  const live = useLive();
  const [asking, setAsking] = useState(false);
  const open = (board: StaffBoard) => {
    const page = firstPage(staff, board.id);
    if (board.audience !== 'everyone') onLook(board.id, page);
    else {
      onWall(null);
      void live.do('class.show', room, { board: board.id, page });
    }
  };
  return (
    <Box>
      <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 0.5 }}>Boards</Box>
      {staff.boards.map((board) => {
        const shown = place.shown?.board === board.id;
        const copies = staff.copies.filter(({ of }) => of === board.id).length;
        const handed = sitting.handed.includes(board.id);
        const says = [audienceWords(board, sitting), handed && 'handed out'].filter(Boolean).join(' · ');
        return (
          <Box key={board.id}>
            <Box
              component="button"
              aria-pressed={shown}
              onClick={() => open(board)}
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
              {says && (
                <Box component="span" sx={{ display: 'block', fontSize: 13, color: 'text.secondary' }}>
                  {says}
                </Box>
              )}
            </Box>
            {board.audience === 'everyone' && (shown || handed || copies > 0) && (
              <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, my: 0.5 }}>
                {(shown || handed) && (
                  <Button
                    size="small"
                    onClick={() =>
                      void live.do('class.hand_out', sittingStream(sitting.id), { board: board.id, on: !handed })
                    }
                  >
                    {handed ? 'Gather in' : 'Hand out'}
                  </Button>
                )}
                {copies > 0 && (
                  <Button size="small" title="See everybody’s copy" onClick={() => onWall(board.id)}>
                    {count(copies, 'copy', 'copies')}
                  </Button>
                )}
              </Box>
            )}
          </Box>
        );
      })}
      {staff.boards.length > 0 && (
        <Button size="small" onClick={() => setAsking(true)}>
          Who sees which board
        </Button>
      )}
      {asking && <BoardsForWhom boards={staff.boards} lesson={lesson} onClose={() => setAsking(false)} />}
    </Box>
  );
}

/** Whom a board is for, where that is not everyone. */
function audienceWords({ audience, people }: StaffBoard, { seats }: SittingState): string | null {
  if (audience === 'everyone') return null;
  if (audience === 'staff') return 'for staff';
  const names = (people ?? [])
    .map((person) => seats.find(({ id }) => id === person)?.name)
    .filter((name) => name !== undefined);
  const others = (people ?? []).length - names.length;
  return `for ${[...names.map(firstName), ...(others > 0 ? [`${others} who ${others === 1 ? 'is' : 'are'} not here`] : [])].join(', ')}`;
}
