import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { RecordingEdits } from '../../../api/shapes';
import { clockTime, duration } from '../../../parts/words/times';
import type { Edit } from './useEdits';

interface Props {
  edits: RecordingEdits;
  busy: boolean;
  edit: (edit: Edit) => void;
}

const SAYS = { cut: 'Cut out', blank: 'Hidden words', stretch: 'Added' } as const;

/** What was cut, hidden and added, each to be taken back. */
export function Parts({ edits: { parts }, busy, edit }: Props) {
  if (parts.length === 0) return null;
  return (
    <Box component="ul" aria-label="What was changed" sx={{ listStyle: 'none', m: 0, mt: 1.5, p: 0 }}>
      {parts
        .toSorted((a, b) => a.from - b.from)
        .map(({ id, kind, from, to }) => (
          <Box
            key={id}
            component="li"
            sx={{ display: 'flex', alignItems: 'center', borderTop: 1, borderColor: 'divider', py: 0.5 }}
          >
            <Box sx={{ flex: 1 }}>
              {SAYS[kind]} {clockTime(from, true)} to {clockTime(to, true)}
              <Box component="span" sx={{ color: 'text.secondary' }}>
                {' '}
                · {duration(to - from)}
              </Box>
            </Box>
            <Button size="small" disabled={busy} onClick={() => edit(['take_back', { id }])}>
              Take back
            </Button>
          </Box>
        ))}
    </Box>
  );
}
