import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { POLL_LIMITS } from '../../api/contracts';
import type { FieldProps } from './Answering';

/** A short answer. What is too long is told and kept. */
export function ShortField({ question, draft, onDraft }: FieldProps) {
  const over = draft.text.length - POLL_LIMITS.answer!;
  return (
    <TextField
      fullWidth
      size="small"
      multiline
      maxRows={4}
      value={draft.text}
      error={over > 0}
      helperText={over > 0 ? `${over} letters too long` : undefined}
      onChange={(event) => onDraft({ ...draft, text: event.target.value })}
      slotProps={{ htmlInput: { 'aria-label': question.text, dir: 'auto' } }}
    />
  );
}

/** A number as one writes it, with its unit behind. */
export function NumberField({ question, draft, onDraft }: FieldProps) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
      <TextField
        size="small"
        value={draft.text}
        onChange={(event) => onDraft({ ...draft, text: event.target.value })}
        slotProps={{ htmlInput: { 'aria-label': question.text, inputMode: 'decimal', maxLength: 60 } }}
        sx={{ width: 160 }}
      />
      {question.unit}
    </Box>
  );
}

/** Some words for a cloud, each in a field of its own. */
export function WordFields({ question, draft, onDraft }: FieldProps) {
  const set = (index: number, word: string) =>
    onDraft({ ...draft, words: draft.words.map((old, i) => (i === index ? word : old)) });
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 0.75, alignItems: 'flex-start' }}>
      {draft.words.map((word, i) => (
        <TextField
          key={i}
          fullWidth
          size="small"
          value={word}
          onChange={(event) => set(i, event.target.value)}
          slotProps={{
            htmlInput: { 'aria-label': `${question.text} Word ${i + 1}`, maxLength: POLL_LIMITS.word, dir: 'auto' },
          }}
        />
      ))}
      {draft.words.length < POLL_LIMITS.words! && (
        <Button size="small" onClick={() => onDraft({ ...draft, words: [...draft.words, ''] })}>
          One more word
        </Button>
      )}
    </Box>
  );
}
