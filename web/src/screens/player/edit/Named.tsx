import Box from '@mui/material/Box';
import Switch from '@mui/material/Switch';
import type { RecordingEdits } from '../../../api/shapes';
import type { Edit } from './useEdits';

interface Props {
  edits: RecordingEdits;
  busy: boolean;
  edit: (edit: Edit) => void;
}

/** Who is called by their name, and of whom nothing is shown. */
export function Named({ edits: { names_hidden, left_out, people }, busy, edit }: Props) {
  return (
    <Box component="section" aria-label="People">
      <h3>People</h3>
      <Box component="label" sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Box sx={{ flex: 1 }}>
          Numbers in place of names
          <Box sx={{ color: 'text.secondary', fontSize: 13 }}>
            Everyone but staff, on boards and in posts too. What is said aloud stays, and what was typed in small
            letters.
          </Box>
        </Box>
        <Switch
          checked={names_hidden}
          disabled={busy}
          onChange={(_, on) => edit(['hide_names', { on }])}
          slotProps={{ input: { 'aria-label': 'Numbers in place of names' } }}
        />
      </Box>
      {people.length > 0 && (
        <Box component="ul" aria-label="Who is shown" sx={{ listStyle: 'none', m: 0, mt: 1, p: 0 }}>
          {people.map(({ id, name }) => (
            <Box key={id} component="li" sx={{ display: 'flex', alignItems: 'center' }}>
              <Box sx={{ flex: 1 }}>
                {name}
                {left_out.includes(id) && (
                  <Box component="span" sx={{ color: 'text.secondary' }}>
                    {' '}
                    · nothing is shown
                  </Box>
                )}
              </Box>
              <Switch
                size="small"
                checked={!left_out.includes(id)}
                disabled={busy}
                onChange={(_, on) => edit(['leave_out', { person: id, on: !on }])}
                slotProps={{ input: { 'aria-label': `Show ${name}` } }}
              />
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
