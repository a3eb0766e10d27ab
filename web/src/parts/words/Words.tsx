import TextField from '@mui/material/TextField';
import { useContext } from 'react';
import { useDraft } from '../hooks/useDraft';
import { AtOnce } from './atOnce';

interface WordsProps {
  label: string;
  value: string;
  numeric?: boolean;
  lines?: number;
  /** Letters that it takes. */
  most?: number;
  /** Number of the last entry that is known of what it belongs to; told with what is saved, as it was when one began to type. */
  seen?: number;
  onSave: (text: string, seen?: number) => void;
}

const NUMBER = /^\d{1,3}$/;

/** A field that is saved when one leaves it or presses Enter (see also {@link AtOnce}); Esc takes the old words back. */
export function Words({ label, value, numeric = false, lines, most = lines ? 4000 : 120, seen, onSave }: WordsProps) {
  const fine = (text: string) => !numeric || NUMBER.test(text);
  const atOnce = useContext(AtOnce);
  const { text, setText, done, giveUp } = useDraft(value, (typed, from) => fine(typed) && onSave(typed, from), seen);
  return (
    <TextField
      fullWidth
      size="small"
      label={label}
      value={text}
      error={!fine(text)}
      multiline={lines !== undefined}
      minRows={lines}
      onChange={({ target }) => {
        setText(target.value);
        if (atOnce && fine(target.value)) onSave(target.value, seen);
      }}
      onBlur={done}
      onKeyDown={(event) => {
        if (event.nativeEvent.isComposing) return;
        if (event.key === 'Escape') giveUp();
        if (event.key === 'Enter' && lines === undefined) done();
      }}
      slotProps={{
        htmlInput: { inputMode: numeric ? 'numeric' : undefined, maxLength: most, dir: 'auto' },
      }}
    />
  );
}
