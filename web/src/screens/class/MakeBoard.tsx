import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { post } from '../../api/http';

interface Props {
  sitting: string;
  onMade: (board: string) => void;
}

/** A board of one's own, for oneself and those who teach until they open it to others. */
export function MakeBoard({ sitting, onMade }: Props) {
  const [naming, setNaming] = useState(false);
  const [name, setName] = useState('');
  const make = useMutation({
    mutationFn: () => post<{ board: string }>(`/api/classes/${sitting}/own-boards`, { name: name.trim() }),
    onSuccess: ({ board }) => {
      setNaming(false);
      setName('');
      onMade(board);
    },
  });
  return (
    <>
      <Button size="small" onClick={() => setNaming(true)} sx={{ flex: 'none', minHeight: { xs: 44, md: 28 } }}>
        Make a board of your own
      </Button>
      {naming && (
        <Dialog open onClose={() => setNaming(false)} aria-label="A board of your own">
          <Box
            component="form"
            onSubmit={(event) => {
              event.preventDefault();
              if (name.trim() && !make.isPending) make.mutate();
            }}
            sx={{ p: 2.5, display: 'flex', flexDirection: 'column', gap: 2, minWidth: { sm: 340 } }}
          >
            <TextField
              autoFocus
              label="What it is called"
              value={name}
              slotProps={{ htmlInput: { maxLength: 80 } }}
              error={make.isError}
              helperText={make.error?.message ?? 'You and those who teach see it.'}
              onChange={(event) => setName(event.target.value)}
            />
            <Box sx={{ display: 'flex', gap: 1 }}>
              <Button type="submit" variant="contained" color="primary" disabled={!name.trim() || make.isPending}>
                Make it
              </Button>
              <Button onClick={() => setNaming(false)}>Not now</Button>
            </Box>
          </Box>
        </Dialog>
      )}
    </>
  );
}
