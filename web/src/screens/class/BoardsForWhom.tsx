import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import { useMutation } from '@tanstack/react-query';
import { patch } from '../../api/http';
import type { BoardRow, StaffBoard } from '../../api/shapes';
import { useLive } from '../../live/hooks';
import { WhoSees } from '../../parts/WhoSees';

interface Props {
  boards: StaffBoard[];
  /** Id of the lesson. */
  lesson: string;
  onClose: () => void;
}

/** For staff, while the class goes on: who sees each board. Whoever loses one is told so, and sees what is on show for all. */
export function BoardsForWhom({ boards, lesson, onClose }: Props) {
  const live = useLive();
  const change = useMutation({
    mutationFn: ({ id, ...changes }: Partial<BoardRow> & { id: string }) => patch(`/api/boards/${id}`, changes),
    onError: (error) => live.notice('not_changed', error.message),
  });
  return (
    <Dialog open onClose={onClose} aria-labelledby="for-whom" maxWidth="sm" fullWidth>
      <DialogContent>
        <Box component="h2" id="for-whom" sx={{ mt: 0, mb: 2, typography: 'h2' }}>
          Who sees which board
        </Box>
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2.5 }}>
          {boards.map(({ id, name, audience, outside = 'read', people = [] }) => (
            <WhoSees
              key={id}
              label={name}
              lesson={lesson}
              board={{ audience, outside, people }}
              onChange={(changes) => change.mutate({ id, ...changes })}
            />
          ))}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Put away</Button>
      </DialogActions>
    </Dialog>
  );
}
