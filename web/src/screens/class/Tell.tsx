import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import type { ReactNode } from 'react';
import type { You } from '../../api/shapes';
import type { PlaceState } from '../../live/place';
import { MenuWord } from '../../parts/fields/MenuWord';
import { signalKey, signalWord } from '../../parts/words/signals';
import type { BenchForm } from './Bench';
import { useMySignal } from './useMySignal';

interface Props {
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  you: You;
  /** Of the bench: in one line signals are behind one word. */
  form: BenchForm;
  onHand: () => void;
}

const upper = (word: string) => word[0]!.toUpperCase() + word.slice(1);

/** What a student tells with one tap: a hand, and signals. */
export function Tell({ place, room, you, form, onHand }: Props) {
  const { mine, give, kinds } = useMySignal(place, room, you);
  const up = place.hands.includes(you.id);
  const hand = (
    <Word on={up} hint="Key: h" onClick={onHand}>
      {up ? 'Take it down' : 'Raise my hand'}
    </Word>
  );
  if (form === 'line')
    return (
      <Box sx={{ display: 'flex', gap: 1 }}>
        {hand}
        <MenuWord label={mine ? upper(signalWord(mine)) : 'Signal'} hint="Tell with one tap">
          {(close) =>
            kinds.map((kind) => (
              <MenuItem key={kind} selected={kind === mine} onClick={() => close(() => give(kind))}>
                {kind === mine ? `Take back “${signalWord(kind)}”` : upper(signalWord(kind))}
              </MenuItem>
            ))
          }
        </MenuWord>
      </Box>
    );
  return (
    <Box
      role="group"
      aria-label="Hand and signals"
      sx={{
        display: 'grid',
        gridTemplateColumns: form === 'few' ? 'repeat(8, auto)' : 'repeat(4, minmax(70px, auto))',
        gap: 0.5,
        alignContent: 'center',
      }}
    >
      {hand}
      {kinds.map((kind) => (
        <Word
          key={kind}
          on={kind === mine}
          pressed={kind === mine}
          hint={`Key: ${signalKey(kind)}`}
          onClick={() => give(kind)}
        >
          {upper(signalWord(kind))}
        </Word>
      ))}
    </Box>
  );
}

interface WordProps {
  on: boolean;
  /** Of what is on or off under one name; others say by their name what they would do. */
  pressed?: boolean;
  hint: string;
  onClick: () => void;
  children: ReactNode;
}

function Word({ on, pressed, hint, onClick, children }: WordProps) {
  return (
    <Button
      title={hint}
      aria-pressed={pressed}
      variant={on ? 'contained' : 'outlined'}
      color={on ? 'primary' : 'inherit'}
      onClick={onClick}
      sx={{ minHeight: { xs: 44, md: 42 }, px: 0.75, minWidth: 0, whiteSpace: 'nowrap' }}
    >
      {children}
    </Button>
  );
}
