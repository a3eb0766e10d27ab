import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { post } from '../../api/http';
import type { LessonFacts } from '../../api/shapes';
import { ComeByLink } from './ComeByLink';
import { clockTime, day } from '../../parts/words/times';

/** Makes a link into the class, with words to paste. */
export function Invite({ lesson }: { lesson: LessonFacts }) {
  const [open, setOpen] = useState(false);
  const make = useMutation({ mutationFn: () => post<{ token: string }>(`/api/lessons/${lesson.id}/links`) });
  const message =
    make.data &&
    `${lesson.title} (${lesson.course})\n${day(lesson.starts_at)}, ${clockTime(lesson.starts_at)}\nCome in here: ${location.origin}/enter/${make.data.token}\nNo account is needed; you are asked for your name.`;
  const start = () => {
    setOpen(true);
    make.mutate();
  };
  return (
    <>
      <Button onClick={start}>Invite</Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="invite">
        <DialogContent sx={{ width: 520 }}>
          <div id="invite">Paste this to your students. The link is good until the day after the class.</div>
          <Box
            component="pre"
            data-testid="invitation"
            sx={{
              p: 1.5,
              mt: 1.5,
              mb: 0,
              whiteSpace: 'pre-wrap',
              overflowWrap: 'anywhere',
              font: 'inherit',
              fontSize: 14,
              bgcolor: 'background.default',
              borderRadius: 1,
            }}
          >
            {message ?? make.error?.message ?? 'Making a link …'}
          </Box>
          {make.isSuccess && <ComeByLink lesson={lesson.id} />}
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>Close</Button>
          <Button
            variant="contained"
            color="primary"
            disabled={!message}
            onClick={() => void navigator.clipboard?.writeText(message!)}
          >
            Copy
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
