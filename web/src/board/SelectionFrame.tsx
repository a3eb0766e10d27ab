import type { Mark } from '../live/board';
import { fitted, type Box } from './boxes';
import { MarkShape } from './MarkShape';
import type { Selection } from './useSelection';

const CORNERS = [
  ['nw', 0, 0],
  ['ne', 1, 0],
  ['sw', 0, 1],
  ['se', 1, 1],
] as const;

export type Corner = (typeof CORNERS)[number][0];

/** The box to which a corner drawn to (x, y) makes another; never smaller than 12 px. */
export function resized(box: Box, corner: Corner, x: number, y: number): Box {
  const left = corner.endsWith('w') ? Math.min(x, box.x + box.w - 12) : box.x;
  const top = corner.startsWith('n') ? Math.min(y, box.y + box.h - 12) : box.y;
  const right = corner.endsWith('e') ? Math.max(x, box.x + 12) : box.x + box.w;
  const bottom = corner.startsWith('s') ? Math.max(y, box.y + 12) : box.y + box.h;
  return { x: left, y: top, w: right - left, h: bottom - top };
}

interface Props {
  selection: Selection;
  scale: number;
}

/** The dashed box around what is selected, with a corner to draw on each side. */
export function SelectionFrame({ selection, scale }: Props) {
  const { box, target, movable } = selection;
  if (!box) return null;
  const frame = target ?? box;
  const grip = 10 / scale;
  return (
    <g>
      {target && movable.map((mark) => <Ghost key={mark.id} mark={mark} from={box} to={target} />)}
      <rect
        data-frame
        x={frame.x - grip}
        y={frame.y - grip}
        width={frame.w + 2 * grip}
        height={frame.h + 2 * grip}
        fill="transparent"
        stroke="#17665E"
        strokeWidth={1.5}
        strokeDasharray="5 4"
        vectorEffect="non-scaling-stroke"
        style={{ cursor: 'move' }}
      />
      {movable.length > 0 &&
        CORNERS.map(([corner, right, bottom]) => (
          <rect
            key={corner}
            data-corner={corner}
            x={frame.x - grip * 1.5 + right * (frame.w + 2 * grip)}
            y={frame.y - grip * 1.5 + bottom * (frame.h + 2 * grip)}
            width={grip}
            height={grip}
            fill="#FFFDF9"
            stroke="#17665E"
            strokeWidth={1.5}
            vectorEffect="non-scaling-stroke"
            style={{ cursor: corner === 'nw' || corner === 'se' ? 'nwse-resize' : 'nesw-resize' }}
          />
        ))}
    </g>
  );
}

function Ghost({ mark, from, to }: { mark: Mark; from: Box; to: Box }) {
  const moved = { ...mark, ...fitted(mark, from, to) };
  return (
    <g transform={`translate(${moved.x} ${moved.y})`} opacity={0.55} pointerEvents="none">
      <MarkShape mark={moved} />
    </g>
  );
}
