import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { PAGE_HEIGHT, PAGE_WIDTH, PAPER } from '../api/contracts';
import { useView } from './useView';

interface Props {
  title: string;
  children: ReactNode;
}

/** A page to look at: fitted, not to be drawn on. */
export function PageView({ title, children }: Props) {
  const { holder, view, size } = useView();
  return (
    <Box ref={holder} sx={{ position: 'absolute', inset: 0, overflow: 'hidden', bgcolor: PAPER }}>
      <svg
        width="100%"
        height="100%"
        role="group"
        aria-label={title}
        viewBox={`${view.x} ${view.y} ${size.width / view.scale} ${size.height / view.scale}`}
      >
        <PageGround />
        {children}
      </svg>
    </Box>
  );
}

/** The dots and the edge of a page. */
export function PageGround() {
  return (
    <>
      <defs>
        <pattern id="dots" width="50" height="50" patternUnits="userSpaceOnUse">
          <circle cx="25" cy="25" r="1.6" fill="#DDD3C0" />
        </pattern>
      </defs>
      <rect width={PAGE_WIDTH} height={PAGE_HEIGHT} fill="url(#dots)" />
      <rect
        width={PAGE_WIDTH}
        height={PAGE_HEIGHT}
        fill="none"
        stroke="#DDD3C0"
        strokeDasharray="3 6"
        vectorEffect="non-scaling-stroke"
      />
    </>
  );
}
