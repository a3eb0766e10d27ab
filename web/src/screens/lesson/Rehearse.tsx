import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { post } from '../../api/http';

/** Runs the lesson with stand-ins, on copies of its boards. */
export function Rehearse({ lesson }: { lesson: string }) {
  const [asking, setAsking] = useState(false);
  const [number, setNumber] = useState('8');
  const go = useNavigate();
  const start = useMutation({
    mutationFn: () => post<{ sitting: string }>(`/api/lessons/${lesson}/rehearsals`, { stand_ins: Number(number) }),
    onSuccess: ({ sitting }) => go(`/classes/${sitting}`),
  });
  const fine = /^\d+$/.test(number) && Number(number) >= 1 && Number(number) <= 30;
  return (
    <>
      <Button onClick={() => setAsking(true)}>Rehearse</Button>
      <Dialog open={asking} onClose={() => setAsking(false)} aria-labelledby="rehearse">
        <DialogContent sx={{ width: 400 }}>
          <div id="rehearse">
            Practise this lesson with simulated students. They draw, write and raise hands on copies of the boards; the
            lesson stays as it is.
          </div>
          <TextField
            sx={{ mt: 2 }}
            label="Stand-ins, 1 to 30"
            value={number}
            autoFocus
            error={!fine || start.isError}
            helperText={start.error?.message}
            onChange={(event) => setNumber(event.target.value)}
            slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setAsking(false)}>Not now</Button>
          <Button
            variant="contained"
            color="primary"
            disabled={!fine || start.isPending}
            onClick={() => start.mutate()}
          >
            Start the rehearsal
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
