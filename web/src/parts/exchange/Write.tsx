import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import OutlinedInput from '@mui/material/OutlinedInput';
import { useRef, useState, type KeyboardEvent } from 'react';
import { POST_LIMIT } from '../../api/contracts';
import { useShortcuts } from '../hooks/useShortcuts';
import { useUnsent } from '../hooks/useUnsent';

interface Props {
  /** Why one may not write; null when one may. */
  reason: string | null;
  /** @returns whether it was taken in */
  onPost: (text: string) => Promise<boolean>;
}

/** Where one writes to everyone in a place. What was refused comes back; who goes away with something unsent is asked. */
export function Write({ reason, onPost }: Props) {
  const [text, setText] = useState('');
  const [underway, setUnderway] = useState(0);
  const input = useRef<HTMLInputElement>(null);
  useShortcuts({ e: ['Write to everyone here', () => input.current?.focus()] });
  useUnsent(text.trim() !== '' || underway > 0);

  const send = async () => {
    const words = text.trim();
    if (!words) return;
    setText('');
    setUnderway((n) => n + 1);
    const taken = await onPost(words);
    setUnderway((n) => n - 1);
    // A refused post goes back into the box, before what was written since.
    if (!taken) setText((present) => (present ? `${words}\n${present}` : words));
  };
  const key = (event: KeyboardEvent) => {
    // While a word is being composed, Enter chooses among its forms.
    if (event.nativeEvent.isComposing || event.keyCode === 229) return;
    if (event.key === 'Escape') {
      event.preventDefault();
      input.current?.blur();
    }
    if (event.key !== 'Enter' || event.shiftKey) return;
    event.preventDefault();
    void send();
  };

  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider', p: 1.5 }}>
      <Box sx={{ fontSize: 13, mb: 0.75 }}>
        {reason ?? (
          <>
            To <strong>everyone here</strong>
          </>
        )}
      </Box>
      <OutlinedInput
        fullWidth
        multiline
        maxRows={5}
        size="small"
        inputRef={input}
        // What was typed before the right went stays to be read and copied.
        disabled={reason !== null && text === ''}
        readOnly={reason !== null}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={key}
        endAdornment={
          text.trim() !== '' &&
          reason === null && (
            <Button onClick={() => void send()} sx={{ display: { md: 'none' }, alignSelf: 'flex-end', mr: -1 }}>
              Post
            </Button>
          )
        }
        placeholder="Write, or press E"
        inputProps={{
          'aria-label': 'Write to everyone here',
          maxLength: POST_LIMIT,
          dir: 'auto',
          enterKeyHint: 'send',
        }}
      />
    </Box>
  );
}
