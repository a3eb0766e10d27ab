import { useMemo, type ReactNode } from 'react';
import type { Mark } from '../../api/shapes';
import { heightOf } from '../../board/geometry/boxes';
import { PointerGlow } from '../../board/others/Glimpsed';
import { Marks } from '../../board/page/Marks';
import { marksOf } from '../../board/page/marksOf';
import { PageLook } from '../../board/page/PageLook';
import type { BoardState } from '../../live/board';
import type { Recorder } from './Recorder';
import { useTold } from './usePlayback';

/** Whether a stroke is being drawn at a moment of the class. */
const grows = (mark: Mark, wall: number) => mark.took !== undefined && wall >= mark.at && wall < mark.at + mark.took;

interface PageProps {
  recorder: Recorder;
  board: BoardState;
  id: string;
  page: string;
  title: string;
  beside: ReactNode;
}

/** Most marks stand still while a recording plays; only those that grow are drawn anew with each tick. */
export function PageThen({ recorder, board, id, page, title, beside }: PageProps) {
  const marks = useMemo(() => marksOf(board, page), [board, page]);
  const drawn = useMemo(() => marks.filter((mark) => mark.took !== undefined), [marks]);
  const growing = useTold(recorder, ({ wall }) =>
    drawn
      .filter((mark) => grows(mark, wall))
      .map((mark) => mark.id)
      .join(),
  );
  const [still, moving] = useMemo(() => {
    const ids = new Set(growing.split(','));
    return [marks.filter((mark) => !ids.has(mark.id)), marks.filter((mark) => ids.has(mark.id))];
  }, [marks, growing]);
  const pageHeight = useMemo(() => heightOf(board, page), [board, page]);
  return (
    <PageLook
      key={`${id} ${page}`}
      title={`${title}, ${marks.length} marks`}
      height={pageHeight}
      ground={board.facts.get(page)?.ground}
      beside={beside}
    >
      <Marks marks={still} authors={board.authors} />
      {moving.length > 0 && <Growing recorder={recorder} marks={moving} authors={board.authors} />}
      <PointerThen recorder={recorder} board={id} page={page} authors={board.authors} />
    </PageLook>
  );
}

interface GrowingProps {
  recorder: Recorder;
  marks: Mark[];
  authors: BoardState['authors'];
}

function Growing({ recorder, marks, authors }: GrowingProps) {
  const wall = useTold(recorder, (at) => at.wall);
  return <Marks marks={marks} authors={authors} clock={wall} />;
}

interface PointerProps {
  recorder: Recorder;
  board: string;
  page: string;
  authors: BoardState['authors'];
}

function PointerThen({ recorder, board, page, authors }: PointerProps) {
  const at = useTold(recorder, () => {
    const pointer = recorder.pointer(board, page);
    return pointer && `${pointer.x} ${pointer.y} ${pointer.by}`;
  });
  if (!at) return null;
  const [x, y, by] = at.split(' ');
  return <PointerGlow x={Number(x)} y={Number(y)} name={authors.get(by!)} scale={0.6} />;
}
