import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { LessonFacts, Step } from '../../api/resources';

interface Props {
  lesson: LessonFacts;
  step: Step;
  onChange: (change: Partial<Step>) => void;
  onRemove: () => void;
  onRecordFrom: (step: string | null) => void;
  onNewBoard: () => void;
}

const NEW_BOARD = '+';

/** The chosen step in words: what it is called, how long, what is on show. */
export function StepInspector({ lesson, step, onChange, onRemove, onRecordFrom, onNewBoard }: Props) {
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
      <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
        This step
      </Box>
      <Words label="Title" value={step.title} onSave={(title) => title.trim() && onChange({ title: title.trim() })} />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Words
          label="Minutes"
          value={String(step.minutes)}
          numeric
          onSave={(text) => onChange(minutesOf(text, step))}
        />
        <Words
          label="Shortest"
          value={String(step.shortest)}
          numeric
          onSave={(text) => onChange({ shortest: Math.min(Number(text), step.minutes) })}
        />
      </Box>
      <TextField
        select
        size="small"
        label="On show"
        value={step.board ?? ''}
        onChange={(event) =>
          event.target.value === NEW_BOARD ? onNewBoard() : onChange({ board: event.target.value || null })
        }
      >
        <MenuItem value="">No board</MenuItem>
        {lesson.boards.map((board) => (
          <MenuItem key={board.id} value={board.id}>
            {board.name}
          </MenuItem>
        ))}
        <MenuItem value={NEW_BOARD}>A new board</MenuItem>
      </TextField>
      <Words label="Private notes" value={step.notes} lines={4} onSave={(notes) => onChange({ notes })} />
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Box sx={{ flex: 1 }}>Start recording here</Box>
        <Switch
          checked={lesson.record_from === step.id}
          slotProps={{ input: { 'aria-label': 'Start recording here' } }}
          onChange={(_, on) => onRecordFrom(on ? step.id : null)}
        />
      </Box>
      <Button color="error" onClick={onRemove} sx={{ alignSelf: 'flex-start' }}>
        Take this step out
      </Button>
    </Box>
  );
}

function minutesOf(text: string, step: Step): Partial<Step> {
  const minutes = Number(text);
  return { minutes, shortest: Math.min(step.shortest, minutes) };
}

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
