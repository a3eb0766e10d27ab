import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { lazy, memo, Suspense, useMemo, useState } from 'react';
import type { Seat, You } from '../../api/shapes';
import { useConnection, useStaff } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import { currentStep, type SittingState } from '../../live/sitting';
import { MAIN, placeStream } from '../../live/streams';
import { Announcer } from '../../parts/exchange/Announcer';
import { Exchange } from '../../parts/exchange/Exchange';
import { Fallible } from '../../parts/frame/Fallible';
import { FromBelow } from '../../parts/frame/FromBelow';
import { PollAnnouncer } from '../../polls/card/PollAnnouncer';
import { StudentPolls } from '../../polls/card/StudentPolls';
import { usePollActs } from '../../polls/usePolls';
import { useQuestions } from '../../questions/useQuestions';
import { useShortcuts } from '../../parts/hooks/useShortcuts';
import { useWide } from '../../parts/hooks/useWide';
import { useUnread } from '../../parts/exchange/useUnread';
import { chosen, SIMULATED } from '../../stage/devices';
import { Large } from '../../stage/Large';
import { Moving } from '../../stage/Moving';
import { StageControls } from '../../stage/StageControls';
import type { StageState } from '../../stage/state';
import { useStageState } from '../../stage/useStage';
import { arranged, USUAL, type Arrangement } from './arranging';
import { Bench, formOf } from './Bench';
import { ClassPaper } from './ClassPaper';
import { Hands } from './Hands';
import { Tell } from './Tell';
import { Region } from './Region';
import { useHeard } from './useHeard';
import { inPlace } from './rooms/rooms';
import { groupsOf } from './rooms/groups';
import { useRooms } from './rooms/useRooms';
import { useRegions } from './useRegions';
import { useRoaming } from './useRoaming';

// Only staff have one.
const Sheet = lazy(() => import('./Sheet').then(({ Sheet }) => ({ default: Sheet })));

// Looked at when somebody asks.
const Questions = lazy(() => import('../../questions/Questions').then(({ Questions }) => ({ default: Questions })));

interface Props {
  sitting: SittingState;
  place: PlaceState;
  /** The place one is in. */
  at: string;
  you: You;
  /** Id of the course whose shelf staff put things from. */
  course: string;
  /** Id of the lesson. */
  lesson: string;
  onHand: () => void;
}

/**
 * One place of a class: plan, paper, words, and people in front. Where there is little room the paper keeps it, and plan and words come
 * up from below when they are called.
 */
export const PlaceView = memo(function PlaceView({ sitting, place, at, you, course, lesson, onHand }: Props) {
  const wide = useWide();
  const [wanted, setWanted] = useState<{ people: string[] } | null>(null);
  const [panel, setPanel] = useState<'sheet' | 'exchange' | 'polls' | null>(null);
  const staff = useStaff(sitting.id);
  const room = placeStream(sitting.id, at);
  const looking = useRoaming(room, place, you);
  const [wall, setWall] = useState<string | null>(null);
  const [rooms, setRooms] = useState(false);
  const [poll, setPoll] = useState<string | null>(null);
  const actions = useRooms(sitting.id);
  const polls = usePollActs(sitting.id);
  const asked = useQuestions(sitting.id);
  const walk = () => {
    looking.back();
    setWall(null);
    setPanel(null);
    // From inside a room one key leads out again, to where all are seen.
    if (at !== MAIN) actions.stepIn(MAIN, at);
    setPoll(null);
    setRooms(at !== MAIN || !rooms);
  };
  const lookAtPoll = (id: string) => {
    looking.back();
    setWall(null);
    setRooms(false);
    setPanel(null);
    setPoll(id);
  };
  const lookRound = () => (at === MAIN && rooms ? undefined : walk());
  const hang = (board: string | null) => {
    looking.back();
    setRooms(false);
    setPoll(null);
    if (board) setPanel(null);
    setWall(board);
  };
  const copied = staff?.copies.find(({ of }) => of === place.shown?.board)?.of;
  useShortcuts({
    ...(staff && { o: ['Go round the rooms, or back', walk] }),
    ...(copied && { u: ['See everybody’s copies, or the board again', () => hang(wall ? null : copied)] }),
  });
  const look = (board: string, page: string) => {
    setWall(null);
    setRooms(false);
    setPoll(null);
    looking.look(board, page);
  };
  const regions = useRegions(you.id, currentStep(sitting)?.leads);
  const reading = wide ? regions.words !== 'folded' : panel === 'exchange';
  const unread = useUnread(sitting.id, at, you.id, reading);
  const sheet = staff && (
    <Fallible what="The sheet" of={at}>
      <Suspense fallback={<Box sx={{ width: { md: 232 } }} />}>
        <Sheet
          sitting={sitting}
          staff={staff}
          place={place}
          room={room}
          lesson={lesson}
          onLook={look}
          onWall={hang}
          at={at}
          onRooms={lookRound}
          course={course}
          onPoll={lookAtPoll}
        />
      </Suspense>
    </Fallible>
  );
  const words = (
    <Fallible what="The exchange" of={at}>
      <Exchange
        sitting={sitting.id}
        place={at}
        wanted={wanted}
        onAsk={you.staff ? polls.ask : undefined}
        questions={{
          panel: (
            <Suspense fallback={null}>
              <Questions sitting={sitting.id} staff={you.staff} />
            </Suspense>
          ),
          count: asked.open.length,
          toReview: asked.toReview.length,
        }}
        above={wide && !you.staff && <StudentPolls sitting={sitting.id} />}
      />
    </Fallible>
  );
  const [arrangement, setArrangement] = useState<Arrangement>(USUAL);
  const heard = useHeard(sitting.id, at, arrangement.order === 'heard');
  const people = useMemo(() => inPlace(sitting, at), [sitting, at]);
  const seats = useMemo(() => arranged(people, place, arrangement, heard?.people), [people, place, arrangement, heard]);
  const groups = groupsOf(sitting, at, seats, you.staff);
  const stage = useStageState();
  const form = formOf(
    wide,
    groups.reduce((sum, group) => sum + group.seats.length, 0),
    regions.people,
    stage !== null && (stage.own !== null || stage.people.some(({ picture }) => picture)),
  );
  const oneLine = form === 'line' || form === 'few';
  const write = (...people: string[]) => {
    setWanted({ people });
    if (!wide) setPanel('exchange');
    else if (regions.words === 'folded') regions.set('words', 'usual');
  };
  const connection = useConnection();
  const pictureOf = ({ id, name }: Seat) => {
    const me = id === you.id;
    const picture = me
      ? stage?.own
      : stage?.people.some((one) => one.id === id && one.picture) && stage.tracks.get(id)?.video;
    return picture ? (
      <Moving picture={picture} name={name} mirrored={me && chosen('camera') !== SIMULATED} />
    ) : undefined;
  };
  const [own, setLarge] = useState<Seat | null>(null);
  // What is large for everybody one may put away for oneself.
  const [away, setAway] = useState<string | null>(null);
  const forAll = place.large !== away ? people.find(({ id }) => id === place.large && id !== you.id) : undefined;
  // Whoever speaks to every room is on no seat of it.
  const { address } = sitting;
  const speaker =
    address?.voice && at !== MAIN && address.person !== away
      ? sitting.seats.find(({ id }) => id === address.person && id !== you.id)
      : undefined;
  const large = own ?? forAll ?? speaker ?? null;
  const largePicture =
    large && stage?.people.some(({ id, picture }) => id === large.id && picture) && stage.tracks.get(large.id)?.video;
  const putAway = () => setPanel(null);
  const toggle = (which: 'sheet' | 'exchange') => setPanel((now) => (now === which ? null : which));

  return (
    <>
      <Box sx={{ flex: 1, minHeight: 0, position: 'relative', display: 'flex' }}>
        {sheet && (
          <Region
            name="Sheet"
            side="left"
            width={regions.sheet}
            takes={{ usual: 232, wide: 232 }}
            onWidth={(width) => regions.set('sheet', width)}
            below={wide ? null : panel === 'sheet'}
            onPutAway={putAway}
          >
            {sheet}
          </Region>
        )}
        <Fallible what="The board" of={place.shown?.board}>
          {/* Over the paper, and nothing else. */}
          <Box sx={{ flex: 1, minWidth: 0, minHeight: 0, position: 'relative', display: 'flex' }}>
            <ClassPaper
              {...{ sitting, place, room, you, course, lesson, looking, wall, at }}
              rooms={rooms && at === MAIN ? () => setRooms(false) : null}
              poll={poll}
              onPoll={setPoll}
              onLeavePoll={() => setPoll(null)}
              onAnswer={!wide && !you.staff ? () => setPanel((now) => now ?? 'polls') : null}
              answering={panel === 'polls'}
              onAnswered={() => setPanel((now) => (now === 'polls' ? null : now))}
              onLeaveWall={() => setWall(null)}
              onWrite={write}
            />
            {largePicture && large && (
              <Large
                picture={largePicture}
                name={large.name}
                onClose={() => {
                  setLarge(null);
                  if (large !== own) setAway(large.id);
                }}
              />
            )}
          </Box>
        </Fallible>
        <Region
          name="Exchange"
          side="right"
          width={regions.words}
          takes={{ usual: 288, wide: 'min(560px, 44%)' }}
          widens
          news={unread > 0 ? `${unread} new` : null}
          onWidth={(width) => regions.set('words', width)}
          below={wide ? null : panel === 'exchange'}
          onPutAway={putAway}
        >
          {words}
        </Region>
        {!wide && panel === 'polls' && (
          <FromBelow onClose={putAway}>
            <Fallible what="This panel">
              <StudentPolls sitting={sitting.id} alone />
            </Fallible>
          </FromBelow>
        )}
      </Box>
      <Fallible what="The bench" of={at}>
        <Bench
          {...{ groups, place, room, you, form, pictureOf }}
          speaking={stage?.speaking}
          onStage={stage ? [...stage.people, ownOf(you.id, stage)] : undefined}
          links={stage?.links}
          onWrite={(person) => write(person)}
          onLarge={setLarge}
          devices={<StageControls {...{ place, room, you, form }} rights={connection.rights[room]} />}
        >
          {!wide && staff && (
            <Button aria-expanded={panel === 'sheet'} onClick={() => toggle('sheet')}>
              Sheet
            </Button>
          )}
          {!wide && (
            <Button aria-expanded={panel === 'exchange'} onClick={() => toggle('exchange')}>
              Exchange{unread > 0 && `, ${unread} new`}
            </Button>
          )}
          {you.staff && (
            <Hands {...{ sitting, place, at, room, you, oneLine, arrangement, seats }} onArrange={setArrangement} />
          )}
          {!you.staff && <Tell place={place} room={room} you={you} form={form} onHand={onHand} />}
        </Bench>
      </Fallible>
      <Fallible what="What is read aloud" of={at}>
        <Announcer sitting={sitting} place={place} you={you} />
        <PollAnnouncer sitting={sitting.id} />
      </Fallible>
    </>
  );
});

/** What of one's own is on: the server tells of the others. */
const ownOf = (id: string, { microphone, camera }: StageState) => ({
  id,
  sound: microphone === 'on',
  picture: camera === 'on',
});
