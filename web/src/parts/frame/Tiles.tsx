import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** Many things of one size, as many beside one another as there is room for, scrolled by themselves. Its children are list items. */
export function Tiles({ width, children }: { width: number; children: ReactNode }) {
  return (
    <Box
      component="ul"
      sx={{
        flex: 1,
        minHeight: 0,
        m: 0,
        p: 0.5,
        listStyle: 'none',
        overflowY: 'auto',
        display: 'grid',
        alignContent: 'start',
        gap: 1.25,
        gridTemplateColumns: `repeat(auto-fill, minmax(min(${width}px, 100%), 1fr))`,
      }}
    >
      {children}
    </Box>
  );
}

interface TileProps {
  label: string;
  /** Colour of its edge, where it stands out. */
  edge?: string;
  children: ReactNode;
}

/** One of them: a named part of the page that fills its place. */
export function Tile({ label, edge, children }: TileProps) {
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{
        height: 1,
        minWidth: 0,
        p: 1.25,
        display: 'flex',
        flexDirection: 'column',
        border: edge ? 2 : 1,
        borderColor: edge ?? 'divider',
        borderRadius: 1,
        bgcolor: 'background.paper',
      }}
    >
      {children}
    </Box>
  );
}
