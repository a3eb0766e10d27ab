import type { Box } from '../geometry/boxes';
import type { Ink } from '../ledge/sticks';
import { PointerGlow } from '../others/Glimpsed';
import { MarkShape } from '../page/MarkShape';
import { PolygonDraft } from './PolygonDraft';
import type { Instruments } from './useInstruments';

interface Props extends Pick<Instruments, 'shaping' | 'polygon'> {
  ink: Ink;
  scale: number;
  lasso: Box | null;
  /** Where the own pointer glows; null unless one points. */
  pointer: [number, number] | null;
}

/** What the hand is about, and is no mark yet. */
export function Drafts({ shaping, polygon, ink, scale, lasso, pointer }: Props) {
  const { draft } = shaping;
  return (
    <>
      {draft && (
        <g transform={`translate(${draft.x} ${draft.y})`}>
          <MarkShape mark={draft} />
        </g>
      )}
      <PolygonDraft corners={polygon.corners} hand={polygon.hand} ink={ink} scale={scale} />
      {lasso && (
        <rect
          {...{ x: lasso.x, y: lasso.y, width: lasso.w, height: lasso.h }}
          fill="#17665E"
          fillOpacity={0.08}
          stroke="#17665E"
          strokeDasharray="4 4"
          vectorEffect="non-scaling-stroke"
        />
      )}
      {pointer && <PointerGlow x={pointer[0]} y={pointer[1]} scale={scale} />}
    </>
  );
}
