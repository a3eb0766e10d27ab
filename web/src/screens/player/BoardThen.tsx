import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect } from 'react';
import type { RecordingFacts } from '../../api/shapes';
import { ClipMedia } from '../../clips/ClipMedia';
import { plays } from '../../clips/useClip';
import type { BoardState } from '../../live/board';
import { clipPosition, type PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';
import { boardStream, MAIN, placeStream, sittingStream } from '../../live/streams';
import { useShortcuts } from '../../parts/hooks/useShortcuts';
import { ShownPoll } from '../../polls/page/ShownPoll';
import { withAddress } from '../class/rooms/AddressLine';
import { Pages } from './Pages';
import { PageThen } from './PageThen';
import { pollsThen } from './polls';
import type { Recorder } from './Recorder';
import { screenNow } from './tracks';
import { ScreenThen } from './TracksThen';
import { useTold } from './usePlayback';

interface Props {
  recorder: Recorder;
  facts: RecordingFacts;
  /** The place of the class that is watched. */
  at: string;
}

/** What was on the paper in a place at the moment of a recording: the board on show, or what lay over it; or another page that one looks at. */
export function BoardThen({ recorder, facts, at }: Props) {
  const poll = useTold(recorder, () => pollsThen(recorder, facts.id).findLast(({ shown }) => shown));
  const screen = useTold(recorder, () => (inFront(recorder, facts, at) ? screenNow(recorder, facts) : undefined));
  const clip = useTold(recorder, () => recorder.view<PlaceState>(placeStream(facts.id, at))?.clip ?? null);
  const over = poll !== undefined || screen !== undefined || (clip?.front === true && clip.kind === 'clip');
  const shown = useTold(recorder, () => recorder.view<PlaceState>(placeStream(facts.id, at))?.shown ?? null);
  const looking = useLookingAway(recorder, shown, over);
  useShortcuts({ b: ['Back to what was on show', () => recorder.look(null)] });
  const leave = over && shown && recorder.holds(shown.board) && (
    <Button size="small" onClick={() => recorder.look(shown)}>
      Look at the board
    </Button>
  );
  return (
    <>
      {looking ? (
        <LookedAt {...{ recorder, facts, at }} board={looking.board} page={looking.page} left />
      ) : (
        !poll && <ShownThen {...{ recorder, facts, at }} />
      )}
      {screen && !looking && <ScreenThen {...{ recorder, facts }} track={screen} />}
      {clip && <ClipThen {...{ recorder, facts, at, clip }} hidden={looking !== null} />}
      {poll && !looking && (
        <Box
          sx={{ position: 'absolute', inset: 0, display: 'flex', flexDirection: 'column', bgcolor: 'background.paper' }}
        >
          <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
            <ShownPoll question={poll.question} shown={poll.shown!} />
          </Box>
          {leave && <Box sx={{ flex: 'none', p: 1, display: 'flex', justifyContent: 'flex-end' }}>{leave}</Box>}
        </Box>
      )}
      {!poll && !looking && leave && <Box sx={{ position: 'absolute', bottom: 8, right: 8 }}>{leave}</Box>}
    </>
  );
}

/** Whether somebody's screen lay over the board; what of it was recorded is another question. */
function inFront(recorder: Recorder, facts: RecordingFacts, at: string): boolean {
  const place = recorder.view<PlaceState>(placeStream(facts.id, at));
  const sitting = recorder.view<SittingState>(sittingStream(facts.id));
  return (place && sitting ? withAddress(place, sitting) : place)?.screen?.front ?? false;
}

/**
 * Which page one looks at instead of what was on show. Once that is on show by itself one follows it again.
 *
 * @param over whether something lay over the board that was on show
 */
function useLookingAway(recorder: Recorder, shown: PlaceState['shown'], over: boolean) {
  const looking = useTold(recorder, (at) => at.looking);
  const board = useTold(recorder, (at) => looking && at.view<BoardState>(boardStream(looking.board)));
  const onItsWay = useTold(recorder, (at) => at.onItsWay);
  const page = looking?.page && board?.pages.includes(looking.page) ? looking.page : board?.pages[0];
  const away = looking && page && (over || looking.board !== shown?.board || page !== shown.page);
  const needless = looking !== null && !away && !onItsWay;
  useEffect(() => {
    if (needless) recorder.look(null);
  }, [recorder, needless]);
  return away ? { board: looking.board, page } : null;
}

interface ClipProps extends Props {
  clip: NonNullable<PlaceState['clip']>;
  /** Whether one looks at something else, and only hears it. */
  hidden: boolean;
}

/** What played for everybody at the moment. */
function ClipThen({ recorder, facts, at, clip, hidden }: ClipProps) {
  const now = () => {
    const where = clipPosition(clip, recorder.wall);
    const moves = recorder.playing && !recorder.onItsWay && plays(clip, where);
    return { at: where, playing: moves, speed: clip.speed * recorder.speed };
  };
  const src =
    clip.address ??
    `/api/recordings/${facts.id}/clips/${clip.material}/${clip.version}${at === MAIN ? '' : `?room=${at}`}`;
  const seen = clip.front && clip.kind === 'clip' && !hidden;
  return (
    <Box sx={{ position: 'absolute', inset: 0, bgcolor: 'background.paper', display: seen ? 'block' : 'none' }}>
      <ClipMedia key={src} {...{ clip, src, now }} />
    </Box>
  );
}

function ShownThen({ recorder, facts, at }: Props) {
  const place = useTold(recorder, () => recorder.view<PlaceState>(placeStream(facts.id, at)));
  const shown = place?.shown;
  const known = useTold(recorder, (then) => shown && then.view<BoardState>(boardStream(shown.board)) !== undefined);
  const onItsWay = useTold(recorder, (then) => then.onItsWay);
  if (shown && known) return <LookedAt {...{ recorder, facts, at }} board={shown.board} page={shown.page} />;
  const says = !place || (shown && recorder.holds(shown.board)) || onItsWay ? 'One moment …' : 'No board was on show.';
  return (
    <Box sx={{ height: 1, display: 'grid', placeItems: 'center', textAlign: 'center', p: 2 }} role="status">
      {shown && !recorder.holds(shown.board) ? 'A board was on show that only staff see.' : says}
    </Box>
  );
}

interface LookedAtProps extends Props {
  board: string;
  page: string;
  /** Whether that is another than what was on show. */
  left?: boolean;
}

/** A page of a board as it was at the moment, with the way to others. */
function LookedAt({ recorder, facts, at, board: id, page, left = false }: LookedAtProps) {
  const board = useTold(recorder, (then) => then.view<BoardState>(boardStream(id)))!;
  const boards = at === MAIN ? facts.boards : (facts.rooms.find((room) => room.id === at)?.boards ?? []);
  return (
    <PageThen
      {...{ recorder, board, id, page }}
      title={boards.find((row) => row.id === id)?.name ?? 'Board'}
      beside={<Pages {...{ left, boards }} at={{ board: id, page }} pages={board.pages} onGo={recorder.look} />}
    />
  );
}
