import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

interface HowManyProps {
  /** Undefined until it is known. */
  done: number | undefined;
  of: number | undefined;
  what: string;
}

/** How far a poll is. Has its room before it is known, so that nothing that is pressed moves when it comes. */
export const HowMany = ({ done, of, what }: HowManyProps) => (
  <Box>
    <Box component="strong" sx={{ fontSize: 22 }}>
      {done ?? '…'}
    </Box>
    {of !== undefined && ` of ${of} ${what}`}
  </Box>
);

/** Who is awaited. Below what is pressed: it grows shorter with every answer. */
export const Missing = ({ children }: { children: ReactNode }) => (
  <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{children}</Box>
);
