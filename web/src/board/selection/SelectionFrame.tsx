import type { Mark } from '../../api/shapes';
import { fitted, placeOf, type Box } from '../geometry/boxes';
import { MarkShape } from '../page/MarkShape';
import type { Selection } from './useSelection';

const CORNERS = [
  ['nw', 0, 0],
  ['ne', 1, 0],
  ['sw', 0, 1],
  ['se', 1, 1],
] as const;

export type Corner = (typeof CORNERS)[number][0];

const LEAST = 12;

/** The box to which a corner drawn to (x, y) makes another; never smaller than 12 px. */
export function resized(box: Box, corner: Corner, x: number, y: number, keep = false): Box {
  const left = corner.endsWith('w') ? Math.min(x, box.x + box.w - LEAST) : box.x;
  const top = corner.startsWith('n') ? Math.min(y, box.y + box.h - LEAST) : box.y;
  const right = corner.endsWith('e') ? Math.max(x, box.x + LEAST) : box.x + box.w;
  const bottom = corner.startsWith('s') ? Math.max(y, box.y + LEAST) : box.y + box.h;
  if (!keep || box.w === 0 || box.h === 0) return { x: left, y: top, w: right - left, h: bottom - top };
  const scale = Math.max((right - left) / box.w, (bottom - top) / box.h);
  const [w, h] = [box.w * scale, box.h * scale];
  return { x: corner.endsWith('w') ? right - w : left, y: corner.startsWith('n') ? bottom - h : top, w, h };
}

/** A turned mark grows and shrinks about its middle, so that it stays where it lies. */
export function resizedTurned(box: Box, angle: number, x: number, y: number, keep: boolean): Box {
  const turn = (-angle * Math.PI) / 180;
  const [cx, cy] = [box.x + box.w / 2, box.y + box.h / 2];
  const [dx, dy] = [x - cx, y - cy];
  let w = Math.max(2 * Math.abs(dx * Math.cos(turn) - dy * Math.sin(turn)), LEAST);
  let h = Math.max(2 * Math.abs(dx * Math.sin(turn) + dy * Math.cos(turn)), LEAST);
  if (keep) {
    const scale = Math.max(w / box.w, h / box.h);
    [w, h] = [box.w * scale, box.h * scale];
  }
  return { x: cx - w / 2, y: cy - h / 2, w, h };
}

interface Props {
  selection: Selection;
  scale: number;
}

/** The dashed box around what is selected, with a corner to draw on each side and a knob to turn it. */
export function SelectionFrame({ selection, scale }: Props) {
  const { box, target, turn, single, movable } = selection;
  if (!box) return null;
  const frame = target ?? box;
  const grip = 10 / scale;
  const [cx, cy] = [frame.x + frame.w / 2, frame.y + frame.h / 2];
  const angle = (single?.angle ?? 0) + turn;
  return (
    <g>
      {target && movable.map((mark) => <Ghost key={mark.id} mark={{ ...mark, ...fitted(mark, box, target) }} />)}
      {turn !== 0 && (
        <g transform={`rotate(${turn} ${cx} ${cy})`}>
          {movable.map((mark) => (
            <Ghost key={mark.id} mark={mark} />
          ))}
        </g>
      )}
      <g transform={angle ? `rotate(${angle} ${cx} ${cy})` : undefined}>
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
        {movable.length > 0 && (
          <>
            <line
              x1={cx}
              x2={cx}
              y1={frame.y + frame.h + grip}
              y2={frame.y + frame.h + 2.6 * grip}
              stroke="#17665E"
              strokeWidth={1.5}
              vectorEffect="non-scaling-stroke"
            />
            <circle
              data-turn
              cx={cx}
              cy={frame.y + frame.h + 3.2 * grip}
              r={grip * 0.7}
              fill="#17665E"
              style={{ cursor: 'grab' }}
            />
          </>
        )}
      </g>
    </g>
  );
}

function Ghost({ mark }: { mark: Mark }) {
  return (
    <g transform={placeOf(mark)} opacity={0.55} pointerEvents="none">
      <MarkShape mark={mark} />
    </g>
  );
}
