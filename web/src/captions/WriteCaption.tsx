import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRef, useState } from 'react';
import { useLive } from '../live/hooks';

/** ms for which a line can have been typed at most, as the server takes it. */
const LONGEST = 20_000;
/** Letters. */
const LETTERS = 500;

/** Writes what is said, line by line. Others may take turns. */
export function WriteCaption({ room }: { room: string }) {
  const live = useLive();
  const [words, setWords] = useState('');
  const begun = useRef(0);
  const type = (now: string) => {
    if (words === '') begun.current = performance.now();
    setWords(now);
  };
  const send = async () => {
    const line = words.trim();
    if (!line) return;
    setWords('');
    const took = Math.round(Math.min(performance.now() - begun.current, LONGEST));
    const outcome = await live.do('class.caption', room, { id: crypto.randomUUID(), words: line, lang: 'en', took });
    // Nothing that was typed is lost.
    if (!outcome.ok) setWords((now) => now || line);
  };
  return (
    <Box
      component="form"
      aria-label="Write captions"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
      sx={{ display: 'flex', gap: 1, pt: 0.5 }}
    >
      <TextField
        size="small"
        fullWidth
        autoComplete="off"
        placeholder="What is said, a line at a time; Enter shows it"
        value={words}
        onChange={(event) => type(event.target.value)}
        slotProps={{ htmlInput: { 'aria-label': 'What is said', maxLength: LETTERS, dir: 'auto' } }}
      />
      <Button type="submit" disabled={!words.trim()}>
        Show
      </Button>
    </Box>
  );
}
