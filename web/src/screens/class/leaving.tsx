import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useLive } from '../../live/hooks';
import type { SittingState } from '../../live/sitting';
import { sittingStream } from '../../live/streams';

/** Ends the class for everyone, once it was asked whether that is meant. */
export function EndClass({ sitting }: { sitting: SittingState }) {
  const live = useLive();
  const [asking, setAsking] = useState(false);
  return (
    <>
      <Button color="error" onClick={() => setAsking(true)}>
        End class
      </Button>
      <Dialog open={asking} onClose={() => setAsking(false)} aria-labelledby="end-class">
        <DialogContent id="end-class">End the class for everyone? Boards and posts are kept.</DialogContent>
        <DialogActions>
          <Button onClick={() => setAsking(false)}>Go on teaching</Button>
          <Button
            variant="contained"
            color="error"
            onClick={() => void live.do('class.end', sittingStream(sitting.id), {})}
          >
            End the class
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}

/** Goes, so that no seat is kept. */
export function Leave() {
  const live = useLive();
  const go = useNavigate();
  const leave = () => {
    live.leave();
    go('/');
  };
  return <Button onClick={leave}>Leave</Button>;
}
