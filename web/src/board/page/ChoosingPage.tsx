import Box from '@mui/material/Box';
import type { PointerEvent } from 'react';
import { PAGE_WIDTH } from '../../api/contracts';
import type { Mark } from '../../api/shapes';
import type { PageFacts } from '../../live/board';
import { boundsOf, heightOfMarks } from '../geometry/boxes';
import { PageThumb } from './PageThumb';

interface Props {
  marks: Mark[];
  facts: PageFacts | undefined;
  chosen: ReadonlySet<string>;
  onChoose: (mark: string) => void;
}

/** Around a mark, in page px, where a click still means it. */
const NEAR = 8;

/** A page in small on which marks are chosen by clicking them. There is always another way to choose them beside it. */
export function ChoosingPage({ marks, facts, chosen, onChoose }: Props) {
  const height = Math.min(heightOfMarks(marks, facts), PAGE_WIDTH);
  const choose = (event: PointerEvent<HTMLElement>) => {
    const { left, top, width } = event.currentTarget.getBoundingClientRect();
    const [x, y] = [event.clientX - left, event.clientY - top].map((px) => (px * PAGE_WIDTH) / width) as [
      number,
      number,
    ];
    const hit = marks.findLast((mark) => holds(boundsOf(mark), x, y));
    if (hit) onChoose(hit.id);
  };
  return (
    <Box onPointerUp={choose} sx={{ position: 'relative', cursor: 'pointer', '& svg': { width: 1, height: 'auto' } }}>
      <PageThumb marks={marks} facts={facts} width={320} />
      <Box
        component="svg"
        aria-hidden
        viewBox={`0 0 ${PAGE_WIDTH} ${height}`}
        sx={{ position: 'absolute', inset: 0, color: 'primary.main' }}
      >
        {marks
          .filter(({ id }) => chosen.has(id))
          .map((mark) => {
            const { x, y, w, h } = boundsOf(mark);
            return (
              <rect
                key={mark.id}
                x={x - NEAR}
                y={y - NEAR}
                width={w + 2 * NEAR}
                height={h + 2 * NEAR}
                rx={NEAR}
                fill="none"
                stroke="currentColor"
                strokeWidth={NEAR}
              />
            );
          })}
      </Box>
    </Box>
  );
}

const holds = (box: ReturnType<typeof boundsOf>, x: number, y: number) =>
  x >= box.x - NEAR && x <= box.x + box.w + NEAR && y >= box.y - NEAR && y <= box.y + box.h + NEAR;
