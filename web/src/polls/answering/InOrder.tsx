import Box from '@mui/material/Box';
import { optionsOf } from '../words';
import type { FieldProps } from './Answering';

/** All options in order: each tap gives the next place, and takes it back. */
export function InOrder({ question, draft, onDraft }: FieldProps) {
  const toggle = (id: string) =>
    onDraft({
      ...draft,
      chosen: draft.chosen.includes(id) ? draft.chosen.filter((one) => one !== id) : [...draft.chosen, id],
    });
  return (
    <Box role="group" aria-label={question.text} sx={{ display: 'flex', flexDirection: 'column', gap: 0.75 }}>
      {optionsOf(question).map(({ id, text }) => {
        const place = draft.chosen.indexOf(id) + 1;
        return (
          <Box
            key={id}
            component="button"
            type="button"
            aria-pressed={place > 0}
            onClick={() => toggle(id)}
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 1.25,
              px: 1.25,
              py: 0.75,
              minHeight: 44,
              font: 'inherit',
              color: 'inherit',
              textAlign: 'left',
              borderRadius: 1,
              border: 1,
              borderColor: place ? 'primary.main' : 'divider',
              bgcolor: place ? 'veranda.wash' : 'background.paper',
              cursor: 'pointer',
            }}
          >
            <Box component="strong" sx={{ width: 20, textAlign: 'center', flex: 'none' }}>
              {place || '·'}
            </Box>
            <Box component="span" dir="auto" sx={{ flex: 1, overflowWrap: 'anywhere' }}>
              {text}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
