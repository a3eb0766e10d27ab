import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

interface Props {
  /** How much is recorded so far, in words that move on by themselves. */
  recorded: ReactNode;
  running: boolean;
}

/** The sign that a recording runs, for everyone in the class. */
export function Lantern({ recorded, running }: Props) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, fontSize: 13, lineHeight: 1.25, whiteSpace: 'nowrap' }}>
      <Box component="svg" viewBox="0 0 20 26" aria-hidden sx={{ width: 18, height: 24, flex: 'none' }}>
        <Box
          component="path"
          d="M5 6h10l2 5v8l-3 5H6l-3-5v-8z M7 3h6"
          sx={{
            fill: running ? '#E0A63A' : 'none',
            fillOpacity: 0.55,
            stroke: running ? 'var(--mui-palette-error-main)' : 'var(--mui-palette-text-secondary)',
            strokeWidth: 2,
            strokeLinejoin: 'round',
          }}
        />
      </Box>
      <Box>
        <Box role="status" sx={{ fontWeight: 700, color: running ? 'error.main' : 'text.secondary' }}>
          {running ? 'Recording' : 'Not recording'}
        </Box>
        {recorded}
      </Box>
    </Box>
  );
}
