import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

interface Props {
  /** What is wrong, if anything is; said at once to those who listen. */
  alert?: ReactNode;
  children?: ReactNode;
}

/** A page with little on it, in its middle. */
export function Centred({ alert, children }: Props) {
  return (
    <Box
      component="main"
      sx={{
        height: '100%',
        display: 'grid',
        placeContent: 'center',
        justifyItems: 'center',
        textAlign: 'center',
        gap: 2,
        p: 2,
      }}
    >
      {alert && <Box role="alert">{alert}</Box>}
      {children}
    </Box>
  );
}
