import { memo } from 'react';
import { PAGE_WIDTH, PAPER } from '../../api/contracts';
import type { Mark } from '../../api/shapes';
import type { PageFacts } from '../../live/board';
import { thumbnailAddress } from './addresses';
import { heightOfMarks, placeOf } from '../geometry/boxes';
import { MarkShape } from './MarkShape';

interface Props {
  /** Of this page, bottom first. */
  marks: Mark[];
  facts: PageFacts | undefined;
  /** px */
  width: number;
}

/** A page in small. */
export const PageThumb = memo(function PageThumb({ marks, facts, width }: Props) {
  const height = Math.min(heightOfMarks(marks, facts), PAGE_WIDTH);
  const ground = facts?.ground;
  return (
    <svg
      aria-hidden
      width={width}
      height={(width * height) / PAGE_WIDTH}
      viewBox={`0 0 ${PAGE_WIDTH} ${height}`}
      style={{ background: PAPER, display: 'block' }}
    >
      {ground && (
        <image
          href={thumbnailAddress(ground.material, ground.version, ground.slide)}
          width={PAGE_WIDTH}
          height={(PAGE_WIDTH * ground.h) / ground.w}
          preserveAspectRatio="none"
        />
      )}
      {marks.map((mark) => (
        <g key={mark.id} transform={placeOf(mark)}>
          <MarkShape mark={mark} />
        </g>
      ))}
    </svg>
  );
});
