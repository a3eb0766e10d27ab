import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** The one card of the page before and after a class. It grows downward alone: what one is about to press stays where it is. */
export function DoorsCard({ children }: { children: ReactNode }) {
  return (
    <Box
      component="main"
      sx={{
        flex: 1,
        overflowY: 'auto',
        display: 'grid',
        placeItems: 'start center',
        gridTemplateColumns: 'minmax(0, 1fr)',
        p: { xs: 1.5, sm: 3 },
        pt: { sm: 'clamp(24px, 10vh, 120px)' },
      }}
    >
      <Box
        sx={{
          width: 620,
          maxWidth: '100%',
          p: { xs: 2.5, sm: 4 },
          bgcolor: 'background.paper',
          border: 1,
          borderColor: 'divider',
          borderRadius: 1.5,
        }}
      >
        {children}
      </Box>
    </Box>
  );
}
