import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { RecordingHappened } from '../../api/shapes';
import { duration } from '../../parts/words/times';
import type { Recorder } from './Recorder';
import type { useNotes } from './useNotes';

interface Props {
  recorder: Recorder;
  own: RecordingHappened['own'];
  notes: ReturnType<typeof useNotes>;
}

const DID = { post: 'You wrote', hand: 'You raised your hand', question: 'You asked', mark: 'You drew' } as const;

/** What one did in the class oneself, and what one notes at a moment of it; nobody else reads these. */
export function YoursThen({ recorder, own, notes }: Props) {
  const [words, setWords] = useState('');
  const rows = [
    ...own.map(({ t, kind, words: said }) => ({ time: t, says: DID[kind], words: said, note: null })),
    ...notes.notes.map(({ id, at, words: said }) => ({
      time: recorder.timeOf(at),
      says: 'Your note',
      words: said,
      note: id,
    })),
  ].toSorted((one, other) => one.time - other.time);
  const keep = () => {
    if (!words.trim()) return;
    notes.add(recorder.wallOf(recorder.time), words.trim());
    setWords('');
  };
  return (
    <>
      <Box
        component="ul"
        aria-label="Yours"
        sx={{ listStyle: 'none', m: 0, px: 1.75, flex: 1, minHeight: 0, overflowY: 'auto', fontSize: 14 }}
      >
        {rows.length === 0 && (
          <Box component="li" sx={{ color: 'text.secondary' }}>
            What you did in this class, and what you note below, stands here.
          </Box>
        )}
        {rows.map(({ time, says, words: said, note }) => (
          <Box component="li" key={`${time} ${says} ${note}`} sx={{ display: 'flex', alignItems: 'start' }}>
            <Box
              component="button"
              onClick={() => recorder.seek(time)}
              sx={{
                ...{ flex: 1, textAlign: 'start', p: 0.75, border: 0, bgcolor: 'transparent', font: 'inherit' },
                ...{ color: 'inherit', cursor: 'pointer', '&:hover': { bgcolor: 'veranda.wash' } },
              }}
            >
              <Box component="span" sx={{ color: 'text.secondary' }}>
                {duration(time)} · {says}
              </Box>
              {said && (
                <Box dir="auto" sx={{ overflowWrap: 'anywhere', whiteSpace: 'pre-wrap' }}>
                  {said}
                </Box>
              )}
            </Box>
            {note && (
              <Button
                size="small"
                aria-label={`Throw away the note at ${duration(time)}`}
                onClick={() => notes.drop(note)}
              >
                Throw away
              </Button>
            )}
          </Box>
        ))}
      </Box>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
        sx={{ display: 'flex', gap: 1, p: 1.75, pt: 1 }}
      >
        <TextField
          size="small"
          placeholder="Note this moment, for yourself"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          slotProps={{ htmlInput: { 'aria-label': 'A note at this moment', maxLength: 1000, dir: 'auto' } }}
          sx={{ flex: 1 }}
        />
        <Button type="submit" disabled={!words.trim()}>
          Keep
        </Button>
      </Box>
      {notes.error && (
        <Box role="alert" sx={{ px: 1.75, pb: 1, fontSize: 14 }}>
          {notes.error}
        </Box>
      )}
    </>
  );
}
