import { INKS } from '../../api/contracts';
import { MarkShape } from '../page/MarkShape';
import { useGlimpses } from './useGlimpses';

interface Props {
  /** Id of the board. */
  board: string;
  me: string;
  marks: { has(id: string): boolean };
  page: string;
  /** Name by person id. */
  names: ReadonlyMap<string, string>;
  scale: number;
}

/** Strokes that others are drawing, and where their pointers are. They come many times a second, so nothing else is drawn anew for them. */
export function Glimpsed({ board, me, marks, page, names, scale }: Props) {
  const glimpses = useGlimpses(board, me, marks);
  return (
    <g pointerEvents="none" aria-hidden>
      {[...glimpses.ink].map(
        ([by, stroke]) =>
          stroke.page === page && (
            <g key={by} data-wet transform={`translate(${stroke.x} ${stroke.y})`}>
              <MarkShape mark={stroke} />
            </g>
          ),
      )}
      {[...glimpses.pointers].map(
        ([by, pointer]) =>
          pointer.page === page && (
            <PointerGlow key={by} x={pointer.x} y={pointer.y} name={names.get(by)} scale={scale} />
          ),
      )}
    </g>
  );
}

/** Where somebody points: a glow with their first name. */
export function PointerGlow({ x, y, name, scale }: { x: number; y: number; name?: string; scale: number }) {
  return (
    <g data-pointer transform={`translate(${x} ${y}) scale(${1 / scale})`} pointerEvents="none">
      <circle r={15} fill={INKS.brick} opacity={0.22} />
      <circle r={6} fill={INKS.brick} />
      {name && (
        <text
          x={18}
          y={5}
          fontSize={13}
          fill={INKS.brick}
          fontWeight={650}
          stroke="#FBF7EE"
          strokeWidth={3}
          paintOrder="stroke"
        >
          {name.split(' ')[0]}
        </text>
      )}
    </g>
  );
}
