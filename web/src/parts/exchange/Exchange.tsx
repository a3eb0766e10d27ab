import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState, type ReactNode } from 'react';
import { useConnection, useLive, usePlace } from '../../live/hooks';
import { get, post as httpPost } from '../../api/http';
import { PAGE_WIDTH } from '../../api/contracts';
import type { MaterialFacts } from '../../api/shapes';
import { placed, slideSized } from '../../board/placed';
import { boardStream, exchangeStream, threadStream } from '../../live/streams';
import { useSteady } from '../hooks/useSteady';
import { count } from '../words/times';
import { Filters, passes, type Filter } from './Filters';
import type { PostActs } from './PostMenu';
import { PostView } from './PostView';
import { useAttaching } from './useAttaching';
import { usePosting } from './usePosting';
import { useReadingBack } from './useReadingBack';
import { useWords, type Word } from './useWords';
import { Write } from './Write';

interface Props {
  sitting: string;
  place: string;
  /** Whom to write to, see {@link usePosting}. */
  wanted?: { people: string[] } | null;
  /** What is asked, in place of the posts; and how many questions there are. */
  questions?: { panel: ReactNode; count: number; toReview: number };
  /** What comes before the words. */
  above?: ReactNode;
  /** Asks everyone what is written after a question mark. @returns why not; null when it is asked */
  onAsk?: (text: string) => Promise<string | null>;
}

/** All written words that one may read in a place, in one stream, newest below. */
export function Exchange({ sitting, place, wanted = null, questions, above, onAsk }: Props) {
  const stream = exchangeStream(sitting, place);
  const { words, threads, pinned } = useWords(sitting, place);
  const { you } = useConnection();
  const [filter, setFilter] = useState<Filter>('all');
  const [asking, setAsking] = useState(false);
  // What stays in view above need not be there twice.
  const shown = useMemo(
    () => (words ?? []).filter((word) => passes(word, filter) && (filter !== 'all' || !pinned.includes(word.id))),
    [words, filter, pinned],
  );
  const kept = useMemo(() => (words ?? []).filter(({ id }) => pinned.includes(id)), [words, pinned]);
  const { list, onScroll, below, toNewest } = useReadingBack(shown, you?.id);
  const writing = usePosting(sitting, place, threads, you, wanted);
  const files = useAttaching(sitting);
  const acts = usePostActs(sitting, place, you?.staff ?? false, writing.answer);

  return (
    <Box
      component="section"
      aria-label="Exchange"
      sx={{ flex: 1, minWidth: 0, minHeight: 0, display: 'flex', flexDirection: 'column' }}
    >
      <Box
        sx={{
          pl: 1.75,
          // Room for what puts the sheet away on a phone.
          pr: { xs: 13, md: 1.75 },
          py: 1.25,
          borderBottom: 1,
          borderColor: 'divider',
          display: 'flex',
          alignItems: 'center',
          gap: 1,
        }}
      >
        <Box component="h2" sx={{ m: 0, typography: 'h2', flex: 1 }}>
          Exchange
        </Box>
        {questions && (
          <Button
            size="small"
            aria-pressed={asking}
            variant={asking ? 'contained' : 'outlined'}
            onClick={() => setAsking(!asking)}
            sx={{ minHeight: { xs: 44, md: 28 }, p: '0 8px', fontSize: 13 }}
          >
            Questions{questions.count > 0 && ` ${questions.count}`}
            {questions.toReview > 0 && `, ${questions.toReview} to review`}
          </Button>
        )}
        {!asking && <Filters words={words ?? []} filter={filter} onFilter={setFilter} />}
      </Box>
      {asking && questions ? (
        questions.panel
      ) : (
        <>
          {above}
          {kept.length > 0 && (
            <Box
              component="section"
              aria-label="Kept in view"
              sx={{
                px: 1.75,
                py: 1,
                bgcolor: 'veranda.ochreWash',
                borderBottom: 1,
                borderColor: 'divider',
                maxHeight: '32%',
                overflowY: 'auto',
              }}
            >
              {kept.map((post) => (
                <PostView key={post.id} post={post} you={you ?? undefined} acts={acts} pinned />
              ))}
            </Box>
          )}
          <Box sx={{ flex: 1, minHeight: 0, position: 'relative', display: 'flex' }}>
            <Box
              ref={list}
              onScroll={onScroll}
              tabIndex={0}
              role="log"
              aria-label="Posts"
              sx={{
                flex: 1,
                overflowY: 'auto',
                px: 1.75,
                py: 1.25,
                display: 'flex',
                flexDirection: 'column',
                gap: 1.5,
              }}
            >
              {words && shown.length === 0 && <Box sx={{ color: 'text.secondary' }}>Nothing written yet.</Box>}
              {shown.map((post) => (
                <PostView
                  key={post.id}
                  post={post}
                  you={you ?? undefined}
                  acts={acts}
                  pinned={pinned.includes(post.id)}
                />
              ))}
            </Box>
            {below > 0 && (
              <Button
                onClick={toNewest}
                sx={{ position: 'absolute', bottom: 8, left: '50%', transform: 'translateX(-50%)' }}
              >
                {count(below, 'new post')} below
              </Button>
            )}
          </Box>
          <Write
            key={stream}
            name={stream}
            {...{
              to: writing.to,
              onTo: writing.setTo,
              seats: writing.seats,
              reason: writing.reason,
              input: writing.input,
            }}
            {...{ threadsReason: writing.threadsReason, remark: writing.remark, onPost: writing.post }}
            files={writing.mayBring ? files : null}
            onAsk={onAsk}
          />
        </>
      )}
    </Box>
  );
}

/** What one may do with posts here; the same for as long as one may do the same. */
function usePostActs(sitting: string, place: string, staff: boolean, answer: (post: Word) => void): PostActs {
  const live = useLive();
  const stream = exchangeStream(sitting, place);
  const room = usePlace(sitting, place);
  const signs = room?.reactions ?? false;
  const steady = useSteady({
    answer,
    remove: ({ id, thread }: Word) =>
      void (thread
        ? live.do('thread.delete', threadStream(sitting, thread.id), { id })
        : live.do('exchange.delete', stream, { id })),
    sign: ({ id, thread }: Word, sign: Parameters<NonNullable<PostActs['sign']>>[1]) =>
      void (thread
        ? live.do('thread.react', threadStream(sitting, thread.id), { id, ...(sign && { sign }) })
        : live.do('exchange.react', stream, { id, ...(sign && { sign }) })),
    pin: ({ id }: Word, on: boolean) => void live.do('exchange.pin', stream, { id, on }),
    toBoard: ({ file }: Word) =>
      void (async () => {
        const shown = room?.shown;
        if (!shown) return live.notice('nothing_shown', 'No board is on show to put it on.');
        const facts = await get<MaterialFacts>(`/api/posted/${file}`);
        const first = facts.slides[0];
        if (!first) return live.notice('no_slides', `${facts.name} has no picture to put on a board.`);
        const marks = [placed(slideSized(facts, first), shown.page, [PAGE_WIDTH / 2, 400])];
        await live.do('board.put', boardStream(shown.board), { marks });
      })().catch((error: Error) => live.notice('not_put', error.message)),
    toShelf: ({ file }: Word) =>
      void httpPost(`/api/posted/${file}/shelf`).then(
        () => live.notice('shelved', 'It is on the shelf.'),
        (error: Error) => live.notice('not_shelved', error.message),
      ),
    park: ({ id }: Word, parked: 'waiting' | 'done' | null) =>
      void live.do('exchange.park', stream, { id, ...(parked && { parked }) }),
  });
  return useMemo(
    () => ({
      answer: steady.answer,
      remove: steady.remove,
      ...(signs && { sign: steady.sign }),
      ...(staff && { pin: steady.pin, park: steady.park, toBoard: steady.toBoard, toShelf: steady.toShelf }),
    }),
    [steady, signs, staff],
  );
}
