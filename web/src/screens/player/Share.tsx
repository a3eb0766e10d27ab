import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import Switch from '@mui/material/Switch';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { patch } from '../../api/http';
import type { RecordingFacts } from '../../api/shapes';
import { ShareLinks } from './ShareLinks';
import { WhoWatched } from './WhoWatched';

interface Props {
  recording: RecordingFacts;
  /** Where one is, ms since the epoch. */
  wallNow: () => number;
}

/** Who may watch: the course, and whoever has a link. Links work signed out and can be taken back. */
export function Share({ recording, wallNow }: Props) {
  const [open, setOpen] = useState(false);
  const queries = useQueryClient();
  const path = `/api/recordings/${recording.id}`;
  const share = useMutation({
    mutationFn: (shared: boolean) => patch(path, { shared }),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['recording', recording.id] }),
  });
  return (
    <>
      <Button variant="contained" color="primary" onClick={() => setOpen(true)}>
        Share
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-label="Share the recording">
        <DialogContent sx={{ width: 540, maxWidth: 1 }}>
          <Box sx={{ display: 'flex', alignItems: 'center' }}>
            <Box sx={{ flex: 1 }}>
              <strong>With the course</strong>
              <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
                {recording.shared ? 'Everyone on the roster can watch.' : 'Only staff can watch.'}
              </Box>
            </Box>
            <Switch
              checked={recording.shared}
              slotProps={{ input: { 'aria-label': 'Share with the course' } }}
              onChange={(_, shared) => share.mutate(shared)}
            />
          </Box>
          <ShareLinks {...{ recording, wallNow }} />
          <WhoWatched recording={recording.id} chapters={recording.chapters} />
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>Close</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
