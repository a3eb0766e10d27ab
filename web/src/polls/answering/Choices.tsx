import Box from '@mui/material/Box';
import { boundsOf, optionsOf } from '../words';
import type { FieldProps } from './Answering';
import { Picture } from './Picture';

/** One option, or several, by one tap each. */
export function Choices({ question, draft, onDraft }: FieldProps) {
  const [, most] = boundsOf(question);
  const single = question.kind !== 'several';
  const toggle = (id: string) => {
    const off = draft.chosen.includes(id);
    const others = draft.chosen.filter((one) => one !== id);
    onDraft({ ...draft, chosen: single ? [id] : off ? others : [...others, id].slice(-most) });
  };
  return (
    <Box
      role={single ? 'radiogroup' : 'group'}
      aria-label={question.text}
      sx={{ display: 'flex', flexDirection: 'column', gap: 0.75 }}
    >
      {optionsOf(question).map(({ id, text, picture }) => (
        <OptionBox key={id} picked={draft.chosen.includes(id)}>
          <input
            type={single ? 'radio' : 'checkbox'}
            name={`poll-${question.text}`}
            checked={draft.chosen.includes(id)}
            onChange={() => toggle(id)}
          />
          {picture && <Picture of={picture} alt="" small />}
          <Box component="span" dir="auto" sx={{ flex: 1, overflowWrap: 'anywhere' }}>
            {text}
          </Box>
        </OptionBox>
      ))}
    </Box>
  );
}

/** What is pressed is the whole of it. */
export function OptionBox({ picked, children }: { picked: boolean; children: React.ReactNode }) {
  return (
    <Box
      component="label"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        px: 1.25,
        py: 0.75,
        minHeight: 44,
        borderRadius: 1,
        border: 1,
        borderColor: picked ? 'primary.main' : 'divider',
        bgcolor: picked ? 'veranda.wash' : 'background.paper',
        fontWeight: picked ? 650 : 400,
        cursor: 'pointer',
        '& input': { flex: 'none', width: 18, height: 18, m: 0, accentColor: 'var(--mui-palette-primary-main)' },
        '&:focus-within': { outline: '2px solid var(--mui-palette-primary-main)', outlineOffset: 2 },
        '& input:focus-visible': { outline: 'none' },
      }}
    >
      {children}
    </Box>
  );
}
