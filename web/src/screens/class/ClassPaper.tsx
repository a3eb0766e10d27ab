import Box from '@mui/material/Box';
import { lazy, Suspense, useMemo, useState } from 'react';
import type { You } from '../../api/shapes';
import { RegionsContext } from '../../board/others/Regions';
import { BoardPaper } from '../../board/BoardPaper';
import { useFollowed, useLive, useOwn, useRights, useStaff } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import { openRound } from '../../live/poll';
import { currentStep, type SittingState } from '../../live/sitting';
import { MAIN } from '../../live/streams';
import { Waiting } from '../../parts/frame/Waiting';
import { PollLine } from '../../polls/card/PollLine';
import { usePollActs, usePolls } from '../../polls/usePolls';
import { AnsweringNow } from '../../questions/AnsweringNow';
import { ShelfContext } from '../../shelf/ShelfContext';
import { boardNamed, whoseCopy } from './copies';
import { CopyLine, OwnCopyLine } from './CopyLine';
import { ClipLine } from '../../clips/ClipLine';
import { ClassCaptions } from '../../captions/ClassCaptions';
import { ClipPaper } from '../../clips/ClipPaper';
import { onShelf, PlayLinkContext } from '../../clips/playLink';
import { useClip } from '../../clips/useClip';
import { DeviceTrouble } from '../../stage/DeviceTrouble';
import { Invited } from '../../stage/Invited';
import { ScreenLine, ScreenPaper } from '../../stage/ScreenPaper';
import { NewDevice } from '../../stage/NewDevice';
import { FloorLine } from './FloorLine';
import { ForYou } from './ForYou';
import { LedLine } from './LedLine';
import { TimerLine } from './TimerLine';
import { NotRecorded } from './NotRecorded';
import { PairLine } from './PairLine';
import { AskedLine } from './rooms/AskedLine';
import { AddressLine, withAddress } from './rooms/AddressLine';
import { RoomLine } from './rooms/RoomLine';
import type { useRoaming } from './useRoaming';
import { Wall } from './Wall';

// Only staff look at them.
const RoomsPage = lazy(() => import('./rooms/RoomsPage').then(({ RoomsPage }) => ({ default: RoomsPage })));

// What was answered is looked at now and then.
const PollPage = lazy(() => import('../../polls/page/PollPage').then(({ PollPage }) => ({ default: PollPage })));
const SetPage = lazy(() => import('../../polls/page/SetPage').then(({ SetPage }) => ({ default: SetPage })));
const ShownPoll = lazy(() => import('../../polls/page/ShownPoll').then(({ ShownPoll }) => ({ default: ShownPoll })));

interface Props {
  sitting: SittingState;
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  you: You;
  /** Id of the course whose shelf staff put things from. */
  course: string;
  /** Id of the lesson. */
  lesson: string;
  looking: ReturnType<typeof useRoaming>;
  /** The board whose copies staff look at all at once. */
  wall: string | null;
  /** The place one is in. */
  at: string;
  /** Leaves the rooms, while staff look at all of them at once. */
  rooms: (() => void) | null;
  onLeaveWall: () => void;
  /** The poll whose results staff look at. */
  poll: string | null;
  onPoll: (poll: string) => void;
  onLeavePoll: () => void;
  /** Comes up with what is to be answered, where that is not beside the paper. */
  onAnswer: (() => void) | null;
  /** Nothing is to be answered any more. */
  onAnswered: () => void;
  /** Whether it is up. */
  answering: boolean;
  /** Writes to these people alone. */
  onWrite: (...people: string[]) => void;
}

/** What one looks at: the board on show, one's own copy of it, another board that is for oneself, or everybody's copies. */
export function ClassPaper({
  sitting,
  place: given,
  room,
  you,
  course,
  lesson,
  looking,
  wall,
  at: where,
  rooms,
  onLeaveWall,
  poll,
  onPoll,
  onLeavePoll,
  onAnswer,
  onAnswered,
  answering,
  onWrite,
}: Props) {
  const place = withAddress(given, sitting);
  const staff = useStaff(sitting.id);
  const polls = usePolls(sitting.id);
  const acts = usePollActs(sitting.id);
  const [put, setPut] = useState<unknown>(null);
  // Of this screen alone: the next is looked at again.
  const [asideOf, setAsideOf] = useState<number | null>(null);
  const aside = place.screen !== null && asideOf === place.screen.since;
  // Each puts away for themselves what was shown; shown anew, it is there again.
  const shownPoll = polls.findLast(
    ({ state }) => state.shown && state.shown !== put && (!state.place || state.place === where),
  );
  const clipSeen =
    place.clip?.kind === 'clip' && place.clip.front && !looking.roaming && !wall && !poll && !rooms && !shownPoll;
  const looked = poll ? polls.find(({ id }) => id === poll) : undefined;
  const staged = staff?.polls.find(({ id }) => id === poll);
  // What is looked at may be a form of several.
  const ofSet = (staff?.polls ?? []).flatMap((row) => {
    const state = row.set?.id === poll ? polls.find(({ id }) => id === row.id)?.state : undefined;
    return state ? [{ poll: row, state }] : [];
  });
  const own = useOwn(sitting.id);
  const shelf = useMemo(() => (you.staff ? { course } : null), [you.staff, course]);
  const { put: putOn } = useClip(place, room);
  const live = useLive();
  const playLink = you.staff
    ? (link: string) =>
        void onShelf(course, link).then(
          (material) => putOn(material, false),
          (error: Error) => live.notice('clip', error.message),
        )
    : null;
  // What one looked at may have been closed meanwhile.
  const known = (id: string | undefined) =>
    boardNamed(id, { sitting, staff, own, place }) ?? own?.copies.filter(({ board }) => board === id).map(asBoard)[0];
  const at = known(looking.shown?.board) ? looking.shown : place.shown;
  const [original, setOriginal] = useState<string | null>(null);
  const mine = sitting.handed.includes(at?.board ?? '')
    ? own?.copies.findLast(({ of }) => of === at?.board)
    : undefined;
  const copied = mine !== undefined && original !== mine.of;
  const board = copied ? { ...known(at?.board)!, id: mine.board } : known(at?.board);
  // Where marks are counted just now.
  const regions = useMemo(
    () =>
      polls.flatMap(({ state }) => {
        const { kind, board: on, page, regions: some } = state.question;
        return kind === 'marks' && on === board?.id && page && some && openRound(state)
          ? [{ page, regions: some }]
          : [];
      }),
    [polls, board?.id],
  );
  const copy = staff?.copies.find((one) => one.board === board?.id);
  const rights = useRights(room);
  const makes = rights?.add.allowed ?? false;
  const { leader } = place;
  const lead = useMemo(
    () => (leader && !copied ? { room, by: leader, astray: looking.roaming } : null),
    [leader, room, looking.roaming, copied],
  );
  return (
    <Box
      component="main"
      sx={{
        flex: 1,
        minWidth: 0,
        minHeight: 0,
        display: 'flex',
        flexDirection: 'column',
        p: { xs: 0.5, md: 1.25 },
        pb: { xs: 0.5, md: 1 },
      }}
    >
      {onAnswer && <PollLine sitting={sitting.id} onAnswer={onAnswer} onOver={onAnswered} quiet={answering} />}
      {you.staff && <NotRecorded sitting={sitting} />}
      <AnsweringNow sitting={sitting.id} staff={you.staff} />
      <RoomLine {...{ sitting, place, at: where, you }} />
      {own && !you.staff && where === MAIN && <AskedLine {...{ sitting, own }} />}
      <ClipLine {...{ place, room, you, course, lesson }} />
      <AddressLine {...{ sitting, you, at: where }} />
      <ScreenLine
        {...{ place, room, course, lesson, aside }}
        // What is shown in every room is not steered from one of them.
        you={place === given ? you : { ...you, staff: false }}
        onAside={(on) => setAsideOf(on ? (place.screen?.since ?? null) : null)}
      />
      <DeviceTrouble />
      <NewDevice />
      <Invited sitting={sitting.id} at={where} rights={rights} />
      <TimerLine place={place} room={room} staff={you.staff} />
      <FloorLine sitting={sitting} place={place} room={room} you={you} />
      {own?.pair && place.pairs?.round === own.pair.round && (
        <PairLine people={own.pair.people} me={you.id} onWrite={onWrite} />
      )}
      {own && !you.staff && (
        <ForYou
          sitting={sitting}
          own={own}
          room={place.room}
          shown={board?.id}
          onLook={looking.look}
          makes={makes && where === MAIN}
        />
      )}
      {mine && (
        <OwnCopyLine
          copied={copied}
          together={(mine.with ?? []).length > 0}
          onSwitch={() => setOriginal(copied ? mine.of : null)}
        />
      )}
      {copy && <Followed board={copy.board} />}
      <ClipPaper {...{ place, room }} seen={clipSeen} />
      {ofSet.length > 0 ? (
        <Suspense fallback={<Waiting />}>
          <SetPage
            sitting={sitting.id}
            title={ofSet[0]!.poll.set!.title}
            polls={ofSet}
            onLook={onPoll}
            onLeave={onLeavePoll}
          />
        </Suspense>
      ) : looked && staged ? (
        <Suspense fallback={<Waiting />}>
          <PollPage
            key={staged.id}
            sitting={sitting.id}
            poll={staged}
            state={looked.state}
            at={where}
            onLeave={onLeavePoll}
          />
        </Suspense>
      ) : rooms && staff ? (
        <Suspense fallback={<Waiting />}>
          <RoomsPage {...{ sitting, staff, at: where }} onLeave={rooms} />
        </Suspense>
      ) : shownPoll ? (
        <Suspense fallback={<Waiting />}>
          <ShownPoll
            question={shownPoll.state.question}
            shown={shownPoll.state.shown!}
            onLeave={() => setPut(shownPoll.state.shown)}
            onSeal={you.staff ? () => acts.seal(shownPoll.id) : undefined}
          />
        </Suspense>
      ) : wall && staff && !copy ? (
        <Wall {...{ board: wall, sitting, staff, place }} onOpen={looking.look} onLeave={onLeaveWall} />
      ) : clipSeen ? null : place.screen?.front && !aside && !looking.roaming ? (
        <ScreenPaper {...{ place, room, you }} />
      ) : board && at ? (
        <ShelfContext value={shelf}>
          <PlayLinkContext value={playLink}>
            <RegionsContext value={regions}>
              <BoardPaper
                inClass
                key={board.id}
                id={board.id}
                title={board.name}
                page={at.page}
                onPage={looking.go}
                lead={lead}
                onLed={(led) =>
                  copy ? (
                    <CopyLine
                      {...{ sitting: sitting.id, room, copy, page: at.page }}
                      whose={whoseCopy(copy, sitting)}
                      onBack={looking.back}
                      onShown={() => {
                        looking.back();
                        onLeaveWall();
                      }}
                    />
                  ) : (
                    <LedLine {...{ sitting, place, room, you, led, looking }} />
                  )
                }
              />
            </RegionsContext>
          </PlayLinkContext>
        </ShelfContext>
      ) : (
        <Box
          sx={{
            flex: 1,
            display: 'grid',
            placeItems: 'center',
            border: 1,
            borderColor: 'divider',
            borderRadius: 1,
            bgcolor: 'background.paper',
            textAlign: 'center',
            p: 2,
          }}
        >
          {you.staff && sitting.steps.length > 0 && !currentStep(sitting)
            ? 'The doors are open. Begin with the first step when you are ready.'
            : 'No board is on show yet.'}
        </Box>
      )}
      <ClassCaptions {...{ place: given, room, rights }} staff={you.staff} />
    </Box>
  );
}

const asBoard = ({ board }: { board: string }) => ({ id: board, name: 'Your copy' });

/** A copy that staff look at alone is followed for as long as they do. */
function Followed({ board }: { board: string }) {
  useFollowed([board]);
  return null;
}
