import Box from '@mui/material/Box';
import { INKS } from '../../api/contracts';
import { INK_NAMES, type Ink } from './sticks';

interface Props {
  /** The ink that is in use, if it is one. */
  ink: Ink | null;
  onInk: (ink: Ink) => void;
}

/** The inks to choose from. */
export function InkRow({ ink: used, onInk }: Props) {
  return (
    <Box sx={{ display: 'flex', gap: 0.75 }}>
      {INK_NAMES.map((ink) => (
        <Box
          key={ink}
          component="button"
          type="button"
          aria-label={`Ink ${ink}`}
          aria-pressed={used === ink}
          title={ink}
          onClick={() => onInk(ink)}
          sx={{
            width: 26,
            height: 26,
            p: 0,
            border: 'none',
            borderRadius: 0.75,
            bgcolor: INKS[ink],
            cursor: 'pointer',
            boxShadow: used === ink ? '0 0 0 2px #FFFDF9, 0 0 0 4px #23313A' : 'none',
          }}
        />
      ))}
    </Box>
  );
}
