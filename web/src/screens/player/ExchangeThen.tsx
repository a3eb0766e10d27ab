import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import type { ExchangeState } from '../../live/exchange';
import { PostView } from '../../parts/exchange/PostView';
import { useReadingBack } from '../../parts/exchange/useReadingBack';
import { count, duration } from '../../parts/words/times';
import type { QuestionsState } from '../../live/questions';
import { questionsStream, sittingOf } from '../../live/streams';
import { pollsThen } from './polls';
import type { Recorder } from './Recorder';
import { useTold } from './usePlayback';

/** What was asked up to then, and when it was answered: the way there. */
function QuestionsThen({ recorder, stream }: { recorder: Recorder; stream: string }) {
  const name = questionsStream(sittingOf(stream));
  const asked = useTold(recorder, () => recorder.view<QuestionsState>(name));
  const shown = asked?.questions.filter(({ state }) => state === 'open' || state === 'answered') ?? [];
  if (shown.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label="Questions"
      sx={{ px: 1.75, pb: 1, fontSize: 14, maxHeight: '30%', overflowY: 'auto' }}
    >
      {shown.map(({ id, text, answered_at }) => (
        <Box key={id} dir="auto" sx={{ mb: 0.5, overflowWrap: 'anywhere' }}>
          <strong>{id === asked?.now ? 'Answering now: ' : 'Asked: '}</strong>
          {text}
          {answered_at !== null && ` (answered ${duration(recorder.timeOf(answered_at))})`}
        </Box>
      ))}
    </Box>
  );
}

/** Polls that were open or had been closed, a line each. */
const pollsOfMoment = (recorder: Recorder, stream: string): string =>
  pollsThen(recorder, sittingOf(stream))
    .map(({ question, rounds }) => {
      const last = rounds.at(-1);
      return last ? `${question.text} Round ${last.round} ${last.closed_at === null ? 'is open.' : 'is closed.'}` : '';
    })
    .filter((line) => line !== '')
    .join('\n');

/** Posts that are shown at first, so that a player costs as much after three hours as after one; of earlier ones so many go at a time. */
const NEWEST = 150;
const AT_A_TIME = 50;

/** What was written in a place up to the moment of a recording, newest below. */
export function ExchangeThen({ recorder, stream }: { recorder: Recorder; stream: string }) {
  const polls = useTold(recorder, () => pollsOfMoment(recorder, stream));
  const exchange = useTold(recorder, () => recorder.view<ExchangeState>(stream));
  const posts = useMemo(() => exchange?.posts.filter((post) => !post.deleted_by) ?? [], [exchange]);
  const [all, setAll] = useState(false);
  const earlier = all ? 0 : Math.max(0, Math.floor((posts.length - NEWEST) / AT_A_TIME) * AT_A_TIME);
  const { list, onScroll } = useReadingBack(posts, undefined);
  return (
    <>
      <QuestionsThen recorder={recorder} stream={stream} />
      {polls !== '' && (
        <Box component="section" aria-label="Polls" sx={{ px: 1.75, pb: 1, fontSize: 14, whiteSpace: 'pre-line' }}>
          {polls}
        </Box>
      )}
      <Box
        ref={list}
        onScroll={onScroll}
        tabIndex={0}
        role="log"
        aria-label="Posts"
        sx={{ flex: 1, overflowY: 'auto', px: 1.75, pb: 2, display: 'flex', flexDirection: 'column', gap: 1.5 }}
      >
        {posts.length === 0 && <Box sx={{ color: 'text.secondary' }}>Nothing written yet.</Box>}
        {earlier > 0 && (
          <Button size="small" onClick={() => setAll(true)} sx={{ flex: 'none', alignSelf: 'flex-start' }}>
            {count(earlier, 'earlier post')}
          </Button>
        )}
        {posts.slice(earlier).map((post) => (
          <PostView key={post.id} post={post} time={duration(recorder.timeOf(post.at))} />
        ))}
      </Box>
    </>
  );
}
