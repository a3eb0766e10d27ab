import { memo } from 'react';
import type { Mark } from '../../api/shapes';
import { boxOf, placeOf } from '../geometry/boxes';
import { MarkShape } from './MarkShape';

interface Props {
  marks: Mark[];
  /** Name by person id. */
  authors: ReadonlyMap<string, string>;
  /** Whether marks can be picked with pointer and keyboard. */
  pickable?: boolean;
  /** For a recording: strokes that are being drawn at this moment show only in part. */
  clock?: number;
  onReach?: (mark: Mark | null) => void;
  /** The one mark that Tab stops at; arrows go from it to the others. */
  stop?: string | null;
  /** Marks that are about to go, and the one person whose marks stand out. */
  fading?: ReadonlySet<string>;
  only?: string | null;
}

/**
 * All marks of a page, bottom first. One memoised element per mark, and the whole again memoised, since panning
 * and drawing change none of them.
 */
export const Marks = memo(function Marks({
  marks,
  authors,
  pickable = false,
  clock,
  onReach,
  stop = null,
  fading,
  only = null,
}: Props) {
  return marks.map((mark) => (
    <MarkOnPage
      key={mark.id}
      mark={mark}
      author={authors.get(mark.by) ?? 'someone'}
      pickable={pickable}
      stop={pickable && mark.id === stop}
      share={shareAt(mark, clock)}
      faint={(fading?.has(mark.id) ?? false) || (only !== null && mark.by !== only)}
      onReach={onReach}
    />
  ));
});

function shareAt(mark: Mark, clock: number | undefined): number {
  if (clock === undefined || !mark.took) return 1;
  return Math.min(Math.max((clock - mark.at) / mark.took, 0), 1);
}

interface OneProps {
  mark: Mark;
  author: string;
  pickable: boolean;
  stop: boolean;
  share: number;
  faint: boolean;
  onReach?: (mark: Mark | null) => void;
}

const MarkOnPage = memo(function MarkOnPage({ mark, author, pickable, stop, share, faint, onReach }: OneProps) {
  return (
    <g
      data-mark={mark.id}
      data-kind={mark.kind}
      transform={placeOf(mark)}
      opacity={faint ? 0.15 : undefined}
      tabIndex={pickable ? (stop ? 0 : -1) : undefined}
      role="img"
      aria-label={`${label(mark)} by ${author}`}
      onPointerEnter={onReach && (() => onReach(mark))}
      onPointerLeave={onReach && (() => onReach(null))}
      onFocus={onReach && (() => onReach(mark))}
      onBlur={onReach && (() => onReach(null))}
    >
      {pickable && <HitArea mark={mark} />}
      <MarkShape mark={mark} share={share} />
    </g>
  );
});

function label(mark: Mark): string {
  const kind = mark.prop ?? mark.sign ?? mark.kind;
  const words = mark.text ?? mark.alt;
  return (words ? `${kind} “${words}”` : kind) + (mark.locked ? ', locked' : '');
}

/** Thin marks are hard to hit; this is a wider, invisible one around them. */
function HitArea({ mark }: { mark: Mark }) {
  if (mark.points) {
    return (
      <path
        d={`M${pairs(mark.points)}`}
        fill="none"
        stroke="transparent"
        strokeWidth={Math.max(mark.width ?? 4, 24)}
        pointerEvents="stroke"
      />
    );
  }
  const box = boxOf(mark);
  return <rect width={box.w} height={box.h} fill="none" pointerEvents="all" />;
}

const pairs = (points: number[]) => points.map((value, i) => (i > 1 && i % 2 === 0 ? `L${value}` : value)).join(' ');
