import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Popover from '@mui/material/Popover';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { THREAD_PEOPLE } from '../../api/contracts';
import type { Seat } from '../../api/shapes';
import { isStaff } from '../words/people';
import type { Audience } from './audience';

interface Props {
  anchor: HTMLElement;
  to: Audience;
  /** Who is here besides oneself. */
  seats: Seat[];
  /** Why one may not write to students; null when one may. */
  reason: string | null;
  onChange: (to: Audience) => void;
  onClose: () => void;
}

/** From so many people on, one finds them by typing. */
const MANY = 8;

/** Chooses whom one writes to: everyone, staff, or some of the people here. */
export function ToWhom({ anchor, to, seats, reason, onChange, onClose }: Props) {
  const [part, setPart] = useState('');
  const chosen = to === 'everyone' ? { people: [], staff: false } : to;
  const set = (people: string[], staff: boolean) =>
    onChange(people.length === 0 && !staff ? 'everyone' : { people, staff });
  const full = chosen.people.length >= THREAD_PEOPLE - 1;
  const found = seats.filter(({ name }) => name.toLocaleLowerCase().includes(part.trim().toLocaleLowerCase()));
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
      transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      slotProps={{ paper: { role: 'dialog', 'aria-label': 'Whom this is for', sx: { width: 264, maxHeight: 420 } } }}
    >
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          onClose();
        }}
        sx={{ p: 1.5, display: 'flex', flexDirection: 'column' }}
      >
        <Choice label="Everyone here" checked={to === 'everyone'} onChange={() => onChange('everyone')} autoFocus />
        <Choice label="All staff" checked={chosen.staff} onChange={(staff) => set(chosen.people, staff)} />
        {seats.length > MANY && (
          <TextField
            size="small"
            label="Name, or part of it"
            value={part}
            onChange={(event) => setPart(event.target.value)}
            sx={{ my: 1 }}
          />
        )}
        {reason && <Box sx={{ fontSize: 13, my: 0.5 }}>{reason}</Box>}
        {found.map((seat) => {
          const checked = chosen.people.includes(seat.id);
          return (
            <Choice
              key={seat.id}
              label={seat.name}
              checked={checked}
              disabled={(reason !== null && !isStaff(seat) && !checked) || (full && !checked)}
              onChange={(on) =>
                set(on ? [...chosen.people, seat.id] : chosen.people.filter((id) => id !== seat.id), chosen.staff)
              }
            />
          );
        })}
        <Button type="submit" sx={{ mt: 1, alignSelf: 'flex-start' }}>
          Write
        </Button>
      </Box>
    </Popover>
  );
}

interface ChoiceProps {
  label: string;
  checked: boolean;
  disabled?: boolean;
  autoFocus?: boolean;
  onChange: (on: boolean) => void;
}

const Choice = ({ label, checked, disabled, autoFocus, onChange }: ChoiceProps) => (
  <FormControlLabel
    disabled={disabled}
    sx={{ m: 0, minHeight: { xs: 44, md: 34 } }}
    control={
      <Checkbox
        size="small"
        checked={checked}
        autoFocus={autoFocus}
        onChange={(_, on) => onChange(on)}
        sx={{ p: 0.5, mr: 0.5 }}
      />
    }
    label={label}
  />
);
