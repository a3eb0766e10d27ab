import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** What lies in place of the board: a sheet that is scrolled by itself. */
export function Paper({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{
        flex: 1,
        minHeight: 0,
        overflowY: 'auto',
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        bgcolor: 'background.paper',
        p: { xs: 1.5, md: 3 },
        display: 'flex',
        flexDirection: 'column',
        gap: 2,
        // What scrolls sideways is not squeezed: the sheet scrolls.
        '& > *': { flexShrink: 0 },
      }}
    >
      {children}
    </Box>
  );
}
