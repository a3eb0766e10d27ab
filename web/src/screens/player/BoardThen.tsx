import Box from '@mui/material/Box';
import { useMemo, useState, type ReactNode } from 'react';
import type { Mark, RecordingFacts } from '../../api/shapes';
import { heightOf } from '../../board/geometry/boxes';
import { marksOf } from '../../board/page/marksOf';
import { Marks } from '../../board/page/Marks';
import { PageLook } from '../../board/page/PageLook';
import { PointerGlow } from '../../board/others/Glimpsed';
import type { BoardState } from '../../live/board';
import { clipPosition, type PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';
import { boardStream, MAIN, placeStream, sittingStream } from '../../live/streams';
import type { Recorder } from './Recorder';
import { ShownPoll } from '../../polls/page/ShownPoll';
import { pollsThen } from './polls';
import { withAddress } from '../class/rooms/AddressLine';
import { ClipMedia } from '../../clips/ClipMedia';
import { plays } from '../../clips/useClip';
import { ScreenThen } from './TracksThen';
import { useShortcuts } from '../../parts/hooks/useShortcuts';
import { Pages, type Elsewhere } from './Pages';
import { useTold } from './usePlayback';

interface Props {
  recorder: Recorder;
  facts: RecordingFacts;
  /** The place of the class that is watched. */
  at: string;
}

/** What was on the paper in a place at the moment of a recording: the board on show, or what a poll had come to. */
export function BoardThen({ recorder, facts, at }: Props) {
  const poll = useTold(recorder, () => pollsThen(recorder, facts.id).findLast(({ shown }) => shown));
  const shared = useTold(recorder, () => {
    const place = recorder.view<PlaceState>(placeStream(facts.id, at));
    const sitting = recorder.view<SittingState>(sittingStream(facts.id));
    return (place && sitting ? withAddress(place, sitting) : place)?.screen?.front ?? false;
  });
  if (!poll)
    return (
      <>
        <ShownThen recorder={recorder} facts={facts} at={at} />
        {shared && <ScreenThen recorder={recorder} facts={facts} />}
        <ClipThen recorder={recorder} facts={facts} at={at} />
      </>
    );
  return (
    <Box sx={{ position: 'absolute', inset: 0, display: 'flex' }}>
      <ShownPoll question={poll.question} shown={poll.shown!} />
    </Box>
  );
}

/** What played for everybody at the moment. */
function ClipThen({ recorder, facts, at }: Props) {
  const clip = useTold(recorder, () => recorder.view<PlaceState>(placeStream(facts.id, at))?.clip ?? null);
  if (!clip) return null;
  const now = () => {
    const where = clipPosition(clip, recorder.wall);
    const moves = recorder.playing && !recorder.onItsWay && plays(clip, where);
    return { at: where, playing: moves, speed: clip.speed * recorder.speed };
  };
  const src =
    clip.address ??
    `/api/recordings/${facts.id}/clips/${clip.material}/${clip.version}${at === MAIN ? '' : `?room=${at}`}`;
  const seen = clip.front && clip.kind === 'clip';
  return (
    <Box sx={{ position: 'absolute', inset: 0, bgcolor: 'background.paper', display: seen ? 'block' : 'none' }}>
      <ClipMedia key={src} {...{ clip, src, now }} />
    </Box>
  );
}

function ShownThen({ recorder, facts, at }: Props) {
  const stream = placeStream(facts.id, at);
  const place = useTold(recorder, () => recorder.view<PlaceState>(stream));
  const shown = place?.shown;
  const board = useTold(recorder, () => (shown ? recorder.view<BoardState>(boardStream(shown.board)) : undefined));
  const onItsWay = useTold(recorder, () => recorder.onItsWay);
  const [left, setLeft] = useState<Elsewhere | null>(null);
  useShortcuts({ b: ['Back to what was on show', () => setLeft(null)] });
  const elsewhere = useTold(recorder, () => left && recorder.view<BoardState>(boardStream(left.board)));
  if (!shown || !board) {
    const says =
      !place || (shown && recorder.holds(shown.board)) || onItsWay ? 'One moment …' : 'No board was on show.';
    return (
      <Box sx={{ height: 1, display: 'grid', placeItems: 'center', textAlign: 'center', p: 2 }} role="status">
        {shown && !recorder.holds(shown.board) ? 'A board was on show that only staff see.' : says}
      </Box>
    );
  }
  const names = [...facts.boards, ...facts.rooms.flatMap(({ boards }) => boards)];
  const name = (id: string) => names.find((row) => row.id === id)?.name ?? 'Board';
  const where = left && elsewhere?.pages.includes(left.page) ? left : shown;
  const seen = where === left ? elsewhere! : board;
  return (
    <PageThen
      recorder={recorder}
      board={seen}
      id={where.board}
      page={where.page}
      title={name(where.board)}
      beside={
        <Pages
          {...{ shown, pages: seen.pages, at: where, left: where === left }}
          boards={boardsKnown(recorder).map((id) => ({ id, name: name(id) }))}
          firstPage={(id) => recorder.view<BoardState>(boardStream(id))?.pages[0]}
          onGo={(to) => setLeft(to && to.board === shown.board && to.page === shown.page ? null : to)}
        />
      }
    />
  );
}

/** @returns ids of boards that have been on show up to now, since the last jump */
const boardsKnown = (recorder: Recorder): string[] =>
  recorder
    .names()
    .filter((name) => name.startsWith(boardStream('')))
    .map((name) => name.slice(boardStream('').length));

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
function PageThen({ recorder, board, id, page, title, beside }: PageProps) {
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
