import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { Ground } from '../../api/shapes';
import { PAGE_HEIGHT, PAGE_WIDTH, PAPER } from '../../api/contracts';
import { slideAddress } from './addresses';
import { useView } from '../hand/useView';

interface Props {
  title: string;
  height?: number;
  ground?: Ground;
  children: ReactNode;
}

/** A page to look at: fitted, not to be drawn on. */
export function PageView({ title, height = PAGE_HEIGHT, ground, children }: Props) {
  const { holder, view, size } = useView(height);
  return (
    <Box ref={holder} sx={{ position: 'absolute', inset: 0, overflow: 'hidden', bgcolor: PAPER }}>
      <svg
        width="100%"
        height="100%"
        role="group"
        aria-label={title}
        viewBox={`${view.x} ${view.y} ${size.width / view.scale} ${size.height / view.scale}`}
      >
        <PageGround height={height} ground={ground} />
        {children}
      </svg>
    </Box>
  );
}

/** What a page is before anybody draws on it: dots and an edge, or a slide. */
export function PageGround({ height = PAGE_HEIGHT, ground }: { height?: number; ground?: Ground }) {
  return (
    <>
      {ground ? (
        <image
          data-ground
          href={slideAddress(ground.material, ground.version, ground.slide)}
          width={PAGE_WIDTH}
          height={(PAGE_WIDTH * ground.h) / ground.w}
          preserveAspectRatio="none"
        />
      ) : (
        <>
          <defs>
            <pattern id="dots" width="50" height="50" patternUnits="userSpaceOnUse">
              <circle cx="25" cy="25" r="1.6" fill="#DDD3C0" />
            </pattern>
          </defs>
          <rect width={PAGE_WIDTH} height={height} fill="url(#dots)" />
        </>
      )}
      <rect
        width={PAGE_WIDTH}
        height={height}
        fill="none"
        stroke="#DDD3C0"
        strokeDasharray="3 6"
        vectorEffect="non-scaling-stroke"
      />
    </>
  );
}
