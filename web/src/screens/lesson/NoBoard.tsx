import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Step } from '../../api/shapes';

/** Where the paper would be, when nothing is to be shown on it yet. */
export function NoBoard({ step, onNewBoard }: { step: Step | undefined; onNewBoard: () => void }) {
  return (
    <Box
      sx={{
        flex: 1,
        display: 'grid',
        placeContent: 'center',
        justifyItems: 'center',
        gap: 1.5,
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        bgcolor: 'background.paper',
      }}
    >
      {step ? `“${step.title}” shows no board.` : 'Begin with a step on the run sheet, or with a board.'}
      <Button onClick={onNewBoard}>{step ? 'Make a board for it' : 'Make a board'}</Button>
    </Box>
  );
}
