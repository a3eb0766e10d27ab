import { memo } from 'react';
import { PAGE_WIDTH, PAPER } from '../api/contracts';
import type { BoardState } from '../live/board';
import { thumbnailAddress } from './addresses';
import { heightOf, placeOf } from './boxes';
import { MarkShape } from './MarkShape';

interface Props {
  board: BoardState;
  page: string;
  /** px */
  width: number;
}

/** A page in small. */
export const PageThumb = memo(function PageThumb({ board, page, width }: Props) {
  const height = Math.min(heightOf(board, page), PAGE_WIDTH);
  const ground = board.facts.get(page)?.ground;
  const marks = [...board.marks.values()].filter((mark) => mark.page === page).sort((a, b) => a.z - b.z);
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
