import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useConnection, useExchange, useLive, useRights } from '../../live/hooks';
import { newId } from '../../live/LiveClient';
import { exchangeStream } from '../../live/streams';
import { count } from '../words/times';
import { useSteady } from '../hooks/useSteady';
import { PostView } from './PostView';
import { useReadingBack } from './useReadingBack';
import { Write } from './Write';

/** The stream of written words of a place, newest below. */
export function Exchange({ sitting, place }: { sitting: string; place: string }) {
  const stream = exchangeStream(sitting, place);
  const exchange = useExchange(sitting, place);
  const { you } = useConnection();
  const rights = useRights(stream);
  const live = useLive();
  const posts = exchange?.posts ?? [];
  const { list, onScroll, below, toNewest } = useReadingBack(posts, you?.id);
  const acts = useSteady({ remove: (id: string) => void live.do('exchange.delete', stream, { id }) });

  return (
    <Box
      component="section"
      aria-label="Exchange"
      sx={{ flex: 1, minWidth: 0, minHeight: 0, display: 'flex', flexDirection: 'column' }}
    >
      <Box component="h2" sx={{ m: 0, px: 1.75, py: 1.25, typography: 'h2', borderBottom: 1, borderColor: 'divider' }}>
        Exchange
      </Box>
      <Box sx={{ flex: 1, minHeight: 0, position: 'relative', display: 'flex' }}>
        <Box
          ref={list}
          onScroll={onScroll}
          tabIndex={0}
          role="log"
          aria-label="Posts"
          sx={{ flex: 1, overflowY: 'auto', px: 1.75, py: 1.25, display: 'flex', flexDirection: 'column', gap: 1.5 }}
        >
          {exchange && posts.length === 0 && <Box sx={{ color: 'text.secondary' }}>Nothing written yet.</Box>}
          {posts.map((post) => (
            <PostView
              key={post.id}
              post={post}
              own={post.by === you?.id}
              onDelete={post.by === you?.id || you?.staff ? acts.remove : undefined}
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
        reason={rights?.post.allowed ? null : (rights?.post.says ?? 'One moment.')}
        onPost={(text) => live.do('exchange.post', stream, { id: newId(), text }).then((outcome) => outcome.ok)}
      />
    </Box>
  );
}
