import { memo } from 'react';
import type { Mark } from '../../api/shapes';
import { INKS, LEADING, NOTE_INSET, WASHES } from '../../api/contracts';
import { slideAddress } from './addresses';
import { outlinePath } from '../geometry/outline';
import { arrowHead, beginning, polygonPath, signPath, strokePath } from '../geometry/paths';
import { PropShape } from '../props/PropShape';
import { layOutMark } from '../geometry/textLayout';

interface Props {
  mark: Omit<Mark, 'by' | 'at' | 'z'>;
  /** How much of a stroke is there yet, 0..1; all of it unless said. */
  share?: number;
}

/** One mark as SVG, the same as the core's `SvgWriter` writes. Drawn at the origin. */
export const MarkShape = memo(function MarkShape({ mark, share = 1 }: Props) {
  const pen = {
    stroke: INKS[mark.ink],
    strokeWidth: mark.width,
    strokeLinecap: 'round',
    strokeLinejoin: 'round',
    fill: mark.fill ? WASHES[mark.ink] : 'none',
  } as const;
  const points = share < 1 ? beginning(mark.points ?? [], share) : (mark.points ?? []);

  switch (mark.kind) {
    case 'stroke':
      if (mark.press)
        return (
          <path
            fill={INKS[mark.ink]}
            d={outlinePath(points, mark.press.slice(0, points.length / 2), mark.width ?? 4)}
          />
        );
      return <path {...pen} d={strokePath(points)} />;
    case 'line':
      return <path {...pen} d={strokePath(points)} />;
    case 'highlight':
      return <path {...pen} d={strokePath(points)} stroke={WASHES[mark.ink]} style={{ mixBlendMode: 'multiply' }} />;
    case 'arrow':
      return <path {...pen} d={strokePath(points) + arrowHead(points, mark.width ?? 4)} />;
    case 'polygon':
      return <path {...pen} d={polygonPath(points)} />;
    case 'rectangle':
      return <rect {...pen} width={mark.w} height={mark.h} rx={4} />;
    case 'ellipse': {
      const [rx, ry] = [(mark.w ?? 0) / 2, (mark.h ?? 0) / 2];
      return <ellipse {...pen} cx={rx} cy={ry} rx={rx} ry={ry} />;
    }
    case 'sign':
      return (
        <path
          {...pen}
          fill="none"
          strokeWidth={(mark.w ?? 0) * 0.14}
          d={signPath(mark.sign ?? 'tick', mark.w ?? 0, mark.h ?? 0)}
        />
      );
    case 'image':
      return (
        <image
          href={slideAddress(mark.material!, mark.version!, mark.slide!)}
          width={mark.w}
          height={mark.h}
          preserveAspectRatio="none"
        />
      );
    case 'prop':
      return <PropShape mark={mark} />;
    default:
      return <Written mark={mark} />;
  }
});

function Written({ mark }: Props) {
  const { lines, height } = layOutMark(mark);
  const note = mark.kind === 'note';
  const inset = note ? NOTE_INSET : 0;
  const size = mark.size ?? 28;
  return (
    <>
      {note && (
        <rect
          width={mark.w}
          height={Math.max(mark.h ?? 0, height)}
          rx={4}
          fill={WASHES[mark.ink]}
          stroke={INKS[mark.ink]}
        />
      )}
      <text fill={note ? INKS.slate : INKS[mark.ink]} fontSize={size} style={{ whiteSpace: 'pre' }}>
        {lines.map((line, i) => (
          <tspan key={i} x={inset} y={inset + size * (1 + i * LEADING)}>
            {line}
          </tspan>
        ))}
      </text>
    </>
  );
}
