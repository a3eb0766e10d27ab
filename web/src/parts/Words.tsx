import TextField from '@mui/material/TextField';
import { useState } from 'react';

interface WordsProps {
  label: string;
  value: string;
  numeric?: boolean;
  lines?: number;
  onSave: (text: string) => void;
}

/** A field that is saved when one leaves it or presses Enter; Esc takes the old words back. */
export function Words({ label, value, numeric = false, lines, onSave }: WordsProps) {
  const [text, setText] = useState(value);
  const [saved, setSaved] = useState(value);
  if (saved !== value) {
    setSaved(value);
    setText(value);
  }
  const fine = !numeric || /^\d{1,3}$/.test(text);
  const save = () => {
    if (text === value) return;
    if (fine) onSave(text);
    else setText(value);
  };
  return (
    <TextField
      fullWidth
      size="small"
      label={label}
      value={text}
      error={!fine}
      multiline={lines !== undefined}
      minRows={lines}
      onChange={(event) => setText(event.target.value)}
      onBlur={save}
      onKeyDown={(event) => {
        if (event.key === 'Escape') setText(value);
        if (event.key === 'Enter' && lines === undefined) save();
      }}
      slotProps={{ htmlInput: { inputMode: numeric ? 'numeric' : undefined, maxLength: lines ? 4000 : 120 } }}
    />
  );
}
