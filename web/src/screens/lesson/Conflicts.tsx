import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import type { Conflict } from './planEdits';

const WORDS: Record<string, string> = {
  title: 'the title',
  minutes: 'the minutes',
  shortest: 'the fewest minutes',
  notes: 'the notes',
  board: 'the board',
  material: 'what is at hand',
  rules: 'the house rules',
  cues: 'the cues',
  starts_at: 'the time',
  record_from: 'where recording begins',
  welcome: 'the welcome',
  welcome_ink: 'the ink of the welcome',
  welcome_picture: 'the picture of the welcome',
  invited_only: 'who may come in',
};

interface Props {
  conflicts: Conflict[];
  onClose: () => void;
}

/** What somebody else changed at the same time: theirs stays, and one's own words can still be copied from here. */
export function Conflicts({ conflicts, onClose }: Props) {
  if (conflicts.length === 0) return null;
  return (
    <Alert
      severity="warning"
      icon={false}
      onClose={onClose}
      sx={{ m: 1, border: 1, borderColor: 'veranda.ochre', bgcolor: 'veranda.ochreWash', color: 'text.primary' }}
    >
      Somebody else changed the same at the same time. Theirs is kept; everything else of yours is saved.
      <Box component="ul" sx={{ m: 0, mt: 0.5, pl: 2.5 }}>
        {conflicts.map(({ step, field, title, mine }, i) => (
          <li key={i}>
            {step ? `In “${title}”, ` : ''}
            {WORDS[field] ?? field}
            {typeof mine === 'string' || typeof mine === 'number' ? `; you had: ${mine}` : ''}
          </li>
        ))}
      </Box>
    </Alert>
  );
}
