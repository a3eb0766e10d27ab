import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import TextField from '@mui/material/TextField';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { post } from '../../api/http';

/** Keeps a link to a video as a material. */
export function AddLink({ course }: { course: string }) {
  const queries = useQueryClient();
  const [asking, setAsking] = useState(false);
  const [title, setTitle] = useState('');
  const [link, setLink] = useState('');
  const add = useMutation({
    mutationFn: () => post(`/api/courses/${course}/links`, { title: title.trim(), link: link.trim() }),
    onSuccess: () => {
      setAsking(false);
      setTitle('');
      setLink('');
      return queries.invalidateQueries({ queryKey: ['materials'] });
    },
  });
  return (
    <>
      <Button onClick={() => setAsking(true)}>Keep a link</Button>
      <Dialog open={asking} onClose={() => setAsking(false)} aria-labelledby="add-link">
        <DialogContent sx={{ width: 440, display: 'flex', flexDirection: 'column', gap: 2 }}>
          <Box component="h2" id="add-link" sx={{ m: 0, typography: 'h2' }}>
            A link to a video
          </Box>
          <TextField
            size="small"
            autoFocus
            label="Title"
            value={title}
            onChange={(event) => setTitle(event.target.value)}
          />
          <TextField
            size="small"
            label="Address"
            placeholder="https://"
            value={link}
            onChange={(event) => setLink(event.target.value)}
          />
          {add.error && (
            <Box role="alert" sx={{ color: 'error.main' }}>
              {add.error.message}
            </Box>
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setAsking(false)}>Not now</Button>
          <Button
            variant="contained"
            color="primary"
            disabled={!title.trim() || !/^https?:\/\/\S+$/.test(link.trim()) || add.isPending}
            onClick={() => add.mutate()}
          >
            Keep the link
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
