import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { get } from '../api/http';
import type { RecordingFacts } from '../api/resources';
import { PageView } from '../board/PageView';
import { heightOf } from '../board/boxes';
import { Marks } from '../board/Marks';
import { PointerGlow } from '../board/Glimpsed';
import type { BoardState } from '../live/board';
import type { ExchangeState } from '../live/exchange';
import type { SittingState } from '../live/sitting';
import { PostView } from '../parts/Exchange';
import { Ribbon } from '../parts/Ribbon';
import { Waiting } from '../parts/Waiting';
import { day, duration } from '../parts/times';
import { useShortcuts } from '../parts/useShortcuts';
import { Scrubber } from './player/Scrubber';
import { Share } from './player/Share';
import { usePlayback, type Playback } from './player/usePlayback';

const SPEEDS = [0.5, 1, 1.25, 1.5, 2, 3];

/** Watching a class again: the same boards and posts at the same moments. */
export default function Player() {
  const { id } = useParams();
  const facts = useQuery({
    queryKey: ['recording', id],
    queryFn: () => get<RecordingFacts>(`/api/recordings/${id}`),
    retry: false,
  });
  if (facts.data) return <Playing key={id} facts={facts.data} />;
  if (!facts.error) return <Waiting says="Opening the recording" />;
  return (
    <Box
      component="main"
      sx={{ height: '100%', display: 'grid', placeContent: 'center', justifyItems: 'center', gap: 2 }}
    >
      <Box role="alert">
        {facts.error.message} If you had a link to it, the link has been taken back or has expired.
      </Box>
      <Button component={Link} to="/">
        Go to the desk
      </Button>
    </Box>
  );
}

function Playing({ facts }: { facts: RecordingFacts }) {
  const playback = usePlayback(facts);
  const { time, playing } = playback;
  const nudge = (ms: number) => playback.seek(Math.min(Math.max(time + ms, 0), facts.length));
  useShortcuts({ ' ': playback.toggle, ArrowLeft: () => nudge(-5_000), ArrowRight: () => nudge(5_000) });

  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <Ribbon
        title={facts.title}
        under={`recorded ${day(facts.at, 'short')} · ${duration(facts.length)}${facts.cuts > 0 ? ` · ${facts.cuts} parts cut` : ''}`}
      >
        <Box sx={{ flex: 1 }} />
        {facts.staff && <Share recording={facts} />}
      </Ribbon>
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
        <Box component="main" sx={{ flex: 1, minWidth: 0, p: 1.25 }}>
          <Box
            sx={{
              position: 'relative',
              height: 1,
              border: 1,
              borderColor: 'divider',
              borderRadius: 1,
              overflow: 'hidden',
            }}
          >
            <BoardThen playback={playback} facts={facts} />
          </Box>
        </Box>
        <ExchangeThen playback={playback} />
      </Box>
      <Box
        component="section"
        aria-label="Playing"
        sx={{ flex: 'none', borderTop: 1, borderColor: 'divider', p: 1.5, pb: 1.75 }}
      >
        <Scrubber length={facts.length} chapters={facts.chapters} time={time} onSeek={playback.seek} />
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mt: 1.25 }}>
          <Button variant="contained" color="primary" onClick={playback.toggle} sx={{ minWidth: 84 }}>
            {playing ? 'Pause' : 'Play'}
          </Button>
          <Box data-testid="time">
            <strong>{duration(time)}</strong> of {duration(facts.length)}
          </Box>
          <Button
            title="Speed"
            onClick={() => playback.setSpeed(SPEEDS[(SPEEDS.indexOf(playback.speed) + 1) % SPEEDS.length]!)}
          >
            {playback.speed} ×
          </Button>
          <Box sx={{ flex: 1 }} />
          {playback.trouble && <Box role="alert">{playback.trouble}</Box>}
        </Box>
      </Box>
    </Box>
  );
}

function BoardThen({ playback, facts }: { playback: Playback; facts: RecordingFacts }) {
  const sitting = playback.view<SittingState>('sitting');
  const shown = sitting?.shown;
  const board = shown && playback.view<BoardState>(`board/${shown.board}`);
  if (!shown || !board)
    return (
      <Box sx={{ height: 1, display: 'grid', placeItems: 'center' }}>{sitting ? 'No board was on show.' : ''}</Box>
    );
  const title = facts.boards.find((row) => row.id === shown.board)?.name ?? 'Board';
  const marks = [...board.marks.values()].filter((mark) => mark.page === shown.page).sort((a, b) => a.z - b.z);
  const pointer = playback.pointer(shown.board, shown.page);
  return (
    <PageView
      title={`${title}, ${marks.length} marks`}
      height={heightOf(board, shown.page)}
      ground={board.facts.get(shown.page)?.ground}
    >
      <Marks marks={marks} authors={board.authors} clock={playback.wall} />
      {pointer && <PointerGlow x={pointer.x} y={pointer.y} name={board.authors.get(pointer.by)} scale={0.6} />}
    </PageView>
  );
}

function ExchangeThen({ playback }: { playback: Playback }) {
  const exchange = playback.view<ExchangeState>('exchange');
  const posts = exchange?.posts.filter((post) => !post.deleted_by) ?? [];
  return (
    <Box
      component="aside"
      aria-label="Exchange at this moment"
      sx={{
        width: 320,
        flex: 'none',
        bgcolor: 'background.paper',
        borderLeft: 1,
        borderColor: 'divider',
        display: 'flex',
        flexDirection: 'column',
      }}
    >
      <Box component="h2" sx={{ m: 0, p: 1.75, pb: 1, typography: 'h2' }}>
        Exchange at this moment
      </Box>
      <Box
        tabIndex={0}
        role="log"
        aria-label="Posts"
        sx={{
          flex: 1,
          overflowY: 'auto',
          px: 1.75,
          pb: 2,
          display: 'flex',
          flexDirection: 'column-reverse',
          gap: 1.5,
          justifyContent: 'flex-end',
        }}
      >
        {posts.length === 0 && <Box sx={{ color: 'text.secondary' }}>Nothing written yet.</Box>}
        {posts.toReversed().map((post) => (
          <PostView key={post.id} post={post} own={false} time={duration(playback.timeOf(post.at))} />
        ))}
      </Box>
    </Box>
  );
}
