import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';

/** Where what comes from below lies, in the part of the page that it lies over. */
export const BELOW = {
  position: 'absolute',
  insetInline: 0,
  bottom: 0,
  height: '58%',
  zIndex: 2,
  display: 'flex',
  flexDirection: 'column',
  bgcolor: 'background.paper',
  borderTop: 2,
  borderColor: 'divider',
  borderRadius: '12px 12px 0 0',
  boxShadow: '0 -6px 20px rgb(35 49 58 / .14)',
} as const;

/** A sheet that lies over the lower part of the paper until it is put away. */
export function FromBelow({ children, onClose }: { children: ReactNode; onClose: () => void }) {
  return (
    <Box onKeyDown={(event) => event.key === 'Escape' && !event.defaultPrevented && onClose()} sx={BELOW}>
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>{children}</Box>
      <PutAway onClose={onClose} />
    </Box>
  );
}

/** Ends what came from below. */
export const PutAway = ({ onClose }: { onClose: () => void }) => (
  <Button onClick={onClose} sx={{ position: 'absolute', top: 4, right: 8, border: 'none', bgcolor: 'transparent' }}>
    Put away
  </Button>
);
