import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

interface Props {
  label: string;
  /** Told politely whenever it changes. */
  says: ReactNode;
  /** Whether it is to be seen at once. */
  marked?: boolean;
  children?: ReactNode;
}

/** A line above the paper: what holds just now, and at its right what one may do about it. */
export function Line({ label, says, marked = false, children }: Props) {
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        columnGap: 1,
        mb: 0.5,
        px: 1,
        minHeight: 36,
        fontSize: 14,
        borderRadius: 1,
        bgcolor: marked ? 'veranda.wash' : undefined,
        '& button': { minHeight: { xs: 44, md: 32 } },
      }}
    >
      <Box role="status" sx={{ flex: 1, minWidth: 180 }}>
        {says}
      </Box>
      {children}
    </Box>
  );
}
