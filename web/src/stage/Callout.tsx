import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

interface Props {
  /** Whether there is little room: then it takes a line of its own, so that nothing lies over what is pressed. */
  line: boolean;
  role: 'alert' | 'status';
  says: ReactNode;
  /** What one may do about it. */
  children: ReactNode;
}

/** Something about one's own devices that wants an answer, above them. */
export function Callout({ line, role, says, children }: Props) {
  return (
    <Box
      role={role}
      sx={{
        ...(line
          ? { flexBasis: '100%', p: 1 }
          : {
              ...{ position: 'absolute', bottom: 'calc(100% + 12px)', right: 0, zIndex: 2, width: 340, p: 1.5 },
              ...{ border: 1, borderColor: 'divider', borderRadius: 1, boxShadow: 3 },
            }),
        bgcolor: 'background.paper',
        ...{ display: 'flex', flexDirection: 'column', gap: 1, alignItems: 'flex-start', fontSize: 14 },
      }}
    >
      {says}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>{children}</Box>
    </Box>
  );
}
