import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';

interface Props {
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/** Something to look at beside the paper, without covering all of it. */
export function Panel({ title, onClose, children }: Props) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{
        position: 'absolute',
        top: 8,
        right: 8,
        bottom: 8,
        width: 248,
        p: 1.5,
        overflowY: 'auto',
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        boxShadow: '0 4px 14px rgb(35 49 58 / .12)',
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', mb: 1.25 }}>
        <Box component="h2" sx={{ m: 0, flex: 1, typography: 'h3' }}>
          {title}
        </Box>
        <Button onClick={onClose} sx={{ minHeight: 28, px: 1 }}>
          Close
        </Button>
      </Box>
      {children}
    </Box>
  );
}
