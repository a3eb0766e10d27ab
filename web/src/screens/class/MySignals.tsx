import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import type { You } from '../../api/shapes';
import type { PlaceState } from '../../live/place';
import { MenuWord } from '../../parts/fields/MenuWord';
import { signalKey, signalWord } from '../../parts/words/signals';
import { useMySignal } from './useMySignal';

interface Props {
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  you: You;
  /** Where there is little room they are behind one word. */
  oneLine: boolean;
}

const upper = (word: string) => word[0]!.toUpperCase() + word.slice(1);

/** What one tells with one tap. */
export function MySignals({ place, room, you, oneLine }: Props) {
  const { mine, give, kinds } = useMySignal(place, room, you);
  if (oneLine || you.staff)
    return (
      <MenuWord label={mine ? upper(signalWord(mine)) : 'Signal'} hint="Tell with one tap">
        {(close) =>
          kinds.map((kind) => (
            <MenuItem key={kind} selected={kind === mine} onClick={() => close(() => give(kind))}>
              {kind === mine ? `Take back “${signalWord(kind)}”` : upper(signalWord(kind))}
            </MenuItem>
          ))
        }
      </MenuWord>
    );
  return (
    <Box
      role="group"
      aria-label="Signals"
      sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, auto)', gap: 0.5, alignContent: 'center' }}
    >
      {kinds.map((kind) => (
        <Button
          key={kind}
          title={`Key: ${signalKey(kind)}`}
          aria-pressed={kind === mine}
          variant={kind === mine ? 'contained' : 'outlined'}
          color={kind === mine ? 'primary' : 'inherit'}
          onClick={() => give(kind)}
          sx={{ minHeight: 40, px: 1, minWidth: 0, whiteSpace: 'nowrap' }}
        >
          {upper(signalWord(kind))}
        </Button>
      ))}
    </Box>
  );
}
