import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { post } from '../../../api/http';
import type { CaptionCue } from '../../../api/shapes';
import type { Recorder } from '../Recorder';
import { joined, shifted, split } from './captionLines';

interface Props {
  line: CaptionCue;
  next?: CaptionCue;
  lang: string;
  recording: string;
  recorder: Recorder;
  onDone: (changed: boolean) => void;
}

/** ms by which a line is moved at once. */
const STEP = 250;

/** Puts a line of captions right: its words, when it is said, split in two, joined with the next, or taken away. */
export function CorrectLine({ line, next, lang, recording, recorder, onDone }: Props) {
  const [words, setWords] = useState(line.words);
  const [by, setBy] = useState(0);
  const field = useRef<HTMLTextAreaElement>(null);
  const now = shifted({ ...line, words: words.trim() }, by);
  const keep = useMutation({
    mutationFn: ({ lines = [], gone = [] }: { lines?: CaptionCue[]; gone?: string[] }) =>
      post(`/api/recordings/${recording}/edits/captions`, {
        lang,
        gone,
        lines: lines.map(({ from, to, ...rest }) => ({
          ...rest,
          from: Math.round(recorder.wallOf(from)),
          to: Math.round(recorder.wallOf(to)),
        })),
      }),
    onSuccess: () => onDone(true),
  });
  const halves = () => split(now, field.current?.selectionStart ?? 0);
  return (
    <Box sx={{ py: 1, borderTop: 1, borderBottom: 1, borderColor: 'divider' }}>
      <TextField
        fullWidth
        multiline
        size="small"
        value={words}
        inputRef={field}
        onChange={(event) => setWords(event.target.value)}
        slotProps={{ htmlInput: { 'aria-label': 'Words of the line', maxLength: 500, dir: 'auto' } }}
      />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mt: 0.75 }}>
        <Button
          size="small"
          variant="contained"
          color="primary"
          disabled={!words.trim() || keep.isPending}
          onClick={() => keep.mutate({ lines: [now] })}
        >
          Keep
        </Button>
        <Button size="small" onClick={() => setBy(by - STEP)}>
          Earlier
        </Button>
        <Button size="small" onClick={() => setBy(by + STEP)}>
          Later
        </Button>
        <Button
          size="small"
          title="In two, where the cursor is"
          onClick={() => {
            const lines = halves();
            if (lines) keep.mutate({ lines });
          }}
        >
          Split
        </Button>
        {next && (
          <Button size="small" onClick={() => keep.mutate({ lines: [joined(now, next)], gone: [next.id] })}>
            Join with next
          </Button>
        )}
        <Button size="small" color="error" onClick={() => keep.mutate({ gone: [line.id] })}>
          Remove
        </Button>
        <Button size="small" onClick={() => onDone(false)}>
          Leave it
        </Button>
      </Box>
      {by !== 0 && <Box role="status">{`${Math.abs(by) / 1_000} s ${by < 0 ? 'earlier' : 'later'}`}</Box>}
      {keep.error && <Box role="alert">{keep.error.message}</Box>}
    </Box>
  );
}
