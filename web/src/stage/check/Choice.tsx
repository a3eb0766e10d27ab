import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { chosen, SIMULATED, type AnyDevice, type Known } from '../devices';

interface Props {
  device: AnyDevice;
  known: Known[];
  /** With null for the usual one. */
  onChoose: (id: string | null) => void;
}

/** Which of several devices is used. A machine without any can take part by one that is simulated. */
export function Choice({ device, known, onChoose }: Props) {
  const now = chosen(device) ?? '';
  const there = now === '' || now === SIMULATED || known.some(({ id }) => id === now);
  return (
    <TextField
      select
      size="small"
      label={`Which ${device}`}
      value={there ? now : ''}
      onChange={({ target }) => onChoose(target.value || null)}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      <MenuItem value="">The usual one</MenuItem>
      {known.map(({ id, name }) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
      {device !== 'speaker' && (
        <MenuItem value={SIMULATED}>
          {device === 'microphone' ? 'A simulated one: a tone like a voice' : 'A simulated one: initials and a clock'}
        </MenuItem>
      )}
    </TextField>
  );
}
