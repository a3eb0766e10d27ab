import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRef, type ReactNode } from 'react';
import type { Ground } from '../../api/shapes';
import { PAGE_HEIGHT, PAPER } from '../../api/contracts';
import { useLooking } from '../hand/useLooking';
import { useView } from '../hand/useView';
import { PageGround } from './PageView';

interface Props {
  title: string;
  height?: number;
  ground?: Ground;
  /** What stands beside the buttons by which it is scaled. */
  beside?: ReactNode;
  children: ReactNode;
}

/** A page to look at closely: it can be moved and scaled, and fitted again. */
export function PageLook({ title, height = PAGE_HEIGHT, ground, beside, children }: Props) {
  const { holder, ...zoom } = useView(height);
  const { view, size, fits } = zoom;
  const svg = useRef<SVGSVGElement>(null);
  const hands = useLooking(svg, zoom);
  return (
    <Box ref={holder} sx={{ position: 'absolute', inset: 0, overflow: 'hidden', bgcolor: PAPER }}>
      <svg
        ref={svg}
        width="100%"
        height="100%"
        role="group"
        aria-label={title}
        viewBox={`${view.x} ${view.y} ${size.width / view.scale} ${size.height / view.scale}`}
        style={{ touchAction: 'none', cursor: fits ? undefined : 'grab' }}
        {...hands}
      >
        <PageGround height={height} ground={ground} />
        {children}
      </svg>
      <Box
        sx={{
          position: 'absolute',
          right: 8,
          bottom: 8,
          left: 8,
          display: 'flex',
          gap: 0.5,
          flexWrap: 'wrap',
          pointerEvents: 'none',
          '& > *': { pointerEvents: 'auto' },
        }}
      >
        {beside}
        <Box sx={{ flex: 1 }} style={{ pointerEvents: 'none' }} />
        {!fits && (
          <Button size="small" onClick={zoom.fit}>
            Whole page
          </Button>
        )}
        <Button size="small" aria-label="Closer" onClick={() => zoom.zoom(1.25)}>
          +
        </Button>
        <Button size="small" aria-label="Farther" onClick={() => zoom.zoom(0.8)}>
          −
        </Button>
      </Box>
    </Box>
  );
}
