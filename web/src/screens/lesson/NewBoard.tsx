import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { BoardFinder } from '../../parts/fields/BoardFinder';
import { ShelfPicker } from '../../shelf/ShelfPicker';
import type { NewBoardFacts } from './useLesson';

interface Props {
  course: string;
  name: string;
  onMake: (board: NewBoardFacts) => Promise<unknown>;
  onClose: () => void;
}

type Way = 'ask' | 'slides' | 'copy';

/** A board for a step: empty, on slides from the shelf, or a copy of a template or of any other board. */
export function NewBoard({ course, name: suggested, onMake, onClose }: Props) {
  const [name, setName] = useState(suggested);
  const [way, setWay] = useState<Way>('ask');
  const [trouble, setTrouble] = useState<string | null>(null);
  const make = (board: NewBoardFacts) =>
    onMake(board).then(onClose, (error: Error) => {
      setTrouble(error.message);
      setWay('ask');
    });

  if (way === 'slides')
    return (
      <ShelfPicker
        course={course}
        onClose={() => setWay('ask')}
        onBoard={(material) => void make({ name: name === suggested ? material.title : name, material: material.id })}
      />
    );
  return (
    <Dialog open onClose={onClose} maxWidth={way === 'copy' ? 'md' : 'sm'} fullWidth aria-labelledby="new-board">
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Box component="h2" id="new-board" sx={{ m: 0, typography: 'h2' }}>
          A new board
        </Box>
        <TextField
          size="small"
          label="Name"
          value={name}
          onChange={(event) => setName(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
        {trouble && (
          <Box role="alert" sx={{ color: 'error.main' }}>
            {trouble}
          </Box>
        )}
        {way === 'copy' && (
          <BoardFinder
            kind="all"
            choose="Take a copy"
            onChoose={(board) => void make({ name: name.trim() || board.name, copy_of: board.id })}
          />
        )}
      </DialogContent>
      <DialogActions sx={{ flexWrap: 'wrap', gap: 0.5 }}>
        <Button onClick={onClose}>Not now</Button>
        {way === 'ask' && <Button onClick={() => setWay('copy')}>Copy a board or template</Button>}
        {way === 'ask' && <Button onClick={() => setWay('slides')}>On slides from the shelf</Button>}
        {way === 'ask' && (
          <Button
            variant="contained"
            color="primary"
            disabled={!name.trim()}
            onClick={() => void make({ name: name.trim() })}
          >
            Make an empty board
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
