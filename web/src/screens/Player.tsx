import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { get } from '../api/http';
import { BoardClock } from '../board/props/boardClock';
import type { RecordingFacts, RecordingHappened } from '../api/shapes';
import { CaptionMenu } from '../captions/CaptionMenu';
import { useCaptionWish } from '../captions/wish';
import { MAIN } from '../live/streams';
import { Centred } from '../parts/frame/Centred';
import { Fallible } from '../parts/frame/Fallible';
import { Ribbon } from '../parts/frame/Ribbon';
import { Waiting } from '../parts/frame/Waiting';
import { GroundsContext } from '../polls/grounds';
import { count, day, duration } from '../parts/words/times';
import { useShortcuts } from '../parts/hooks/useShortcuts';
import { CaptionsThen } from './player/CaptionsThen';
import { BoardThen } from './player/BoardThen';
import { EditPanel } from './player/edit/EditPanel';
import { RoomThen } from './player/RoomThen';
import { Scrubber } from './player/Scrubber';
import { TracksThen } from './player/TracksThen';
import { Share } from './player/Share';
import { TakeAway } from './player/TakeAway';
import type { Recorder } from './player/Recorder';
import { useCaptions } from './player/useCaptions';
import { useHappened, useSkipping } from './player/useHappened';
import { useNotes } from './player/useNotes';
import { usePlayback, useTold } from './player/usePlayback';
import { troubleOf } from './player/trouble';
import { useOnShow } from './player/useOnShow';
import { useWatched } from './player/useWatched';
import { WordsThen } from './player/WordsThen';

/** ms after which it is asked whether sound and picture are ready. */
const ASK_EVERY = 2_000;

/** How it stands with sound and picture, where that is worth a word. */
const SOUND = {
  waiting: 'Sound and picture are being made ready. Boards and posts are here already.',
  partly: 'Some of the sound or picture could not be made ready.',
  ready: null,
} as const;

const NONE: RecordingHappened['own'] = [];

const SPEEDS = [0.5, 1, 1.25, 1.5, 2, 3];

/** Watching a class again: the same boards and posts at the same moments. */
export default function Player() {
  const { id } = useParams();
  const facts = useQuery({
    queryKey: ['recording', id],
    queryFn: () => get<RecordingFacts>(`/api/recordings/${id}`),
    retry: false,
    refetchInterval: ({ state }) => (state.data?.sound === 'waiting' ? ASK_EVERY : false),
  });
  if (facts.data) return <Playing key={id} facts={facts.data} />;
  if (!facts.error) return <Waiting says="Opening the recording" />;
  return (
    <Centred alert={troubleOf(facts.error)}>
      <Button component={Link} to="/">
        Go to the desk
      </Button>
    </Centred>
  );
}

function Playing({ facts }: { facts: RecordingFacts }) {
  const [search] = useSearchParams();
  // Where a link names no moment, one goes on where one stopped.
  const board = search.get('board');
  const recorder = usePlayback(
    facts,
    Number(search.get('at') ?? facts.stopped ?? 0),
    board ? { board, page: search.get('page') } : null,
  );
  useWatched(recorder, facts);
  const at = useTold(recorder, ({ room }) => room) ?? MAIN;
  const onShow = useOnShow(recorder, facts, at);
  const [editing, setEditing] = useState(false);
  const [large, setLarge] = useState(false);
  const [then] = useState(() => () => recorder.wall);
  const captions = useCaptions(facts.id);
  const [wish] = useCaptionWish();
  const happened = useHappened(facts.id, facts.length);
  const notes = useNotes(facts.id);
  const own = happened?.own ?? NONE;
  const marked = [...own.map(({ t }) => t), ...notes.notes.map((note) => recorder.timeOf(note.at))];
  const nudge = (ms: number) => recorder.seek(Math.min(Math.max(recorder.time + ms, 0), facts.length));
  useShortcuts({
    ' ': ['Play or pause', recorder.toggle],
    ArrowLeft: ['5 seconds back', () => nudge(-5_000)],
    ArrowRight: ['5 seconds on', () => nudge(5_000)],
  });

  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <Ribbon
        title={facts.title}
        under={`recorded ${day(facts.at, 'short')} · ${duration(facts.length)}${facts.cuts > 0 ? ` · ${count(facts.cuts, 'part')} cut` : ''}`}
      >
        <Box sx={{ ml: { md: 'auto' }, display: 'flex', gap: 1.25 }}>
          {facts.staff && !editing && <Button onClick={() => setEditing(true)}>Edit</Button>}
          <TakeAway recording={facts} languages={captions.languages} />
          {facts.staff && <Share recording={facts} wallNow={() => recorder.wall} />}
        </Box>
      </Ribbon>
      <Box
        sx={{
          ...{ flex: 1, minHeight: 0, display: 'grid' },
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: `minmax(0, 1fr) ${large ? 'minmax(0, 1fr)' : '320px'}` },
          gridTemplateRows: { xs: 'auto minmax(0, 1fr) 40%', md: 'auto minmax(0, 1fr)' },
          gridTemplateAreas: { xs: '"seen" "paper" "words"', md: '"paper seen" "paper words"' },
        }}
      >
        <Fallible what="Sound and picture">
          <TracksThen {...{ recorder, facts, large }} onLarge={setLarge} />
        </Fallible>
        <Box
          component="main"
          sx={{
            ...{ gridArea: 'paper', minWidth: 0, minHeight: 0, p: 1.25, display: 'flex', gap: 1 },
            flexDirection: wish.above ? 'column-reverse' : 'column',
          }}
        >
          <Box
            sx={{
              position: 'relative',
              flex: 1,
              minHeight: 0,
              border: 1,
              borderColor: 'divider',
              borderRadius: 1,
              overflow: 'hidden',
            }}
          >
            <GroundsContext value={recorder}>
              <BoardClock value={then}>
                <Fallible what="What was on the paper at this moment" of={onShow}>
                  <BoardThen recorder={recorder} facts={facts} at={at} />
                </Fallible>
              </BoardClock>
            </GroundsContext>
          </Box>
          {at === MAIN && <CaptionsThen {...{ recorder, lines: captions.lines, lang: captions.lang }} />}
        </Box>
        <Fallible what={editing ? 'Editing' : 'The exchange'} of={editing}>
          {editing ? (
            <EditPanel {...{ recorder, facts }} onDone={() => setEditing(false)} />
          ) : (
            <WordsThen {...{ recorder, facts, at, captions, own, notes }} />
          )}
        </Fallible>
      </Box>
      <Box
        component="section"
        aria-label="Playing"
        sx={{ flex: 'none', borderTop: 1, borderColor: 'divider', p: 1.5, pb: 1.75 }}
      >
        <Fallible what="The time line">
          <Controls {...{ recorder, facts, happened, marked, languages: captions.languages }} />
        </Fallible>
      </Box>
    </Box>
  );
}

/** The time is told four times a second, which is as often as a hand or an eye asks. */
const TELL_EVERY = 250;

interface ControlsProps {
  recorder: Recorder;
  facts: RecordingFacts;
  /** Of captions. */
  languages: string[];
  happened?: RecordingHappened;
  /** ms at which one did or noted something oneself. */
  marked: number[];
}

function Controls({ recorder, facts, languages, happened, marked }: ControlsProps) {
  const [skips, setSkips] = useSkipping(recorder, happened?.quiet);
  const time = useTold(recorder, (at) => Math.floor(at.time / TELL_EVERY) * TELL_EVERY);
  const playing = useTold(recorder, (at) => at.playing);
  const speed = useTold(recorder, (at) => at.speed);
  const trouble = useTold(recorder, (at) => at.trouble);
  return (
    <>
      <Scrubber
        {...{ length: facts.length, chapters: facts.chapters, time, happened, marked }}
        onSeek={recorder.seek}
      />
      <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1.5, mt: 1.25 }}>
        <Button variant="contained" color="primary" onClick={recorder.toggle} sx={{ minWidth: 84 }}>
          {playing ? 'Pause' : 'Play'}
        </Button>
        <Box data-testid="time">
          <strong>{duration(time)}</strong> of {duration(facts.length)}
        </Box>
        <Button title="Speed" onClick={() => recorder.setSpeed(SPEEDS[(SPEEDS.indexOf(speed) + 1) % SPEEDS.length]!)}>
          {speed} ×
        </Button>
        <RoomThen recorder={recorder} facts={facts} />
        {(happened?.quiet.length ?? 0) > 0 && (
          <Button aria-pressed={skips} onClick={() => setSkips(!skips)}>
            Skip what is quiet
          </Button>
        )}
        {languages.length > 0 && <CaptionMenu languages={languages} />}
        <Box sx={{ flex: 1 }} />
        {!facts.staff && (
          <Box sx={{ fontSize: 13, color: 'text.secondary' }}>Whoever teaches sees which minutes you watch.</Box>
        )}
        {facts.sound && SOUND[facts.sound] && (
          <Box role="status" sx={{ fontSize: 14, color: 'text.secondary' }}>
            {SOUND[facts.sound]}
          </Box>
        )}
        {trouble && <Box role="alert">{trouble}</Box>}
      </Box>
    </>
  );
}
