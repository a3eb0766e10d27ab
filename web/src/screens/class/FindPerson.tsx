import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Seat } from '../../api/shapes';

interface Props {
  seats: Seat[];
  /** Opens the seat of whoever was found. */
  onFound: (person: string) => void;
  onClose: () => void;
}

/** Of many who match, so many are listed. */
const MOST = 12;

/** Finds a person by typing part of their name; Enter opens the seat of the first. */
export function FindPerson({ seats, onFound, onClose }: Props) {
  const [words, setWords] = useState('');
  const part = words.trim().toLocaleLowerCase();
  const found = seats.filter(({ name }) => name.toLocaleLowerCase().includes(part));
  const enter = () => found[0] && onFound(found[0].id);
  return (
    <Dialog open onClose={onClose} aria-label="Find a person">
      <DialogContent sx={{ width: 320, maxWidth: '100%' }}>
        <TextField
          autoFocus
          fullWidth
          size="small"
          label="Name, or part of it"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && !event.nativeEvent.isComposing && enter()}
        />
        <Box component="ul" sx={{ m: 0, mt: 1, p: 0, listStyle: 'none' }}>
          {found.slice(0, MOST).map(({ id, name }) => (
            <li key={id}>
              <Button
                onClick={() => onFound(id)}
                sx={{ width: 1, justifyContent: 'flex-start', border: 'none', bgcolor: 'transparent' }}
              >
                {name}
              </Button>
            </li>
          ))}
        </Box>
        {found.length === 0 && <Box sx={{ mt: 1 }}>Nobody here is called that.</Box>}
        {found.length > MOST && (
          <Box sx={{ mt: 1, fontSize: 13, color: 'text.secondary' }}>And {found.length - MOST} more.</Box>
        )}
      </DialogContent>
    </Dialog>
  );
}
