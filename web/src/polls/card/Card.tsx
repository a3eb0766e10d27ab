import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

interface Props {
  label: string;
  title: string;
  /** Whether something is open: it stands out. */
  open: boolean;
  children: ReactNode;
}

/** What runs, or may be begun, on the sheet. */
export function Card({ label, title, open, children }: Props) {
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{
        p: 1.25,
        borderRadius: 1,
        border: 1,
        borderColor: open ? 'primary.main' : 'divider',
        bgcolor: 'background.paper',
        display: 'flex',
        flexDirection: 'column',
        gap: 0.5,
      }}
    >
      <Box component="strong" dir="auto" sx={{ overflowWrap: 'anywhere' }}>
        {title}
      </Box>
      {children}
    </Box>
  );
}
