import TextField from '@mui/material/TextField';

const two = (n: number) => String(n).padStart(2, '0');

/** A moment as the browser's own field for date and time has it. */
export function toField(at: number): string {
  const date = new Date(at);
  const day = `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
  return `${day}T${two(date.getHours())}:${two(date.getMinutes())}`;
}

/** @returns ms since the epoch, or null when it is no moment */
export function fromField(text: string): number | null {
  const at = new Date(text).getTime();
  return Number.isNaN(at) ? null : at;
}

interface Props {
  label: string;
  value: string;
  onValue: (value: string) => void;
}

/** Date and time of day. */
export function WhenField({ label, value, onValue }: Props) {
  return (
    <TextField
      type="datetime-local"
      size="small"
      label={label}
      value={value}
      error={fromField(value) === null}
      onChange={(event) => onValue(event.target.value)}
      slotProps={{ inputLabel: { shrink: true } }}
    />
  );
}
