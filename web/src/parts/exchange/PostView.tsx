import Box from '@mui/material/Box';
import { memo } from 'react';
import type { You } from '../../api/shapes';
import { firstName } from '../words/people';
import { SIGN_WORDS, signCounts } from '../words/signs';
import { clockTime } from '../words/times';
import { toWhom } from './audience';
import { PostedFile } from './PostedFile';
import { PostText } from './PostText';
import { PostMenu, type PostActs } from './PostMenu';
import type { Word } from './useWords';

interface Props {
  post: Word;
  /** Who reads it; nobody in particular in a recording. */
  you?: You;
  /** When, if not by the time of day. */
  time?: string;
  /** What may be done with it. */
  acts?: PostActs;
  /** Whether it is kept in view. */
  pinned?: boolean;
}

/**
 * One post, with whom it went to in words. Posts out of sight are neither laid out nor painted, and yet can be found and listened to,
 * however many there are.
 */
export const PostView = memo(function PostView({ post, you, time = clockTime(post.at), acts, pinned = false }: Props) {
  if (post.deleted_by)
    return <Box sx={{ fontSize: 13, color: 'text.secondary' }}>A post of {firstName(post.name)} was deleted.</Box>;
  const own = post.by === you?.id;
  return (
    <Box
      data-testid="post"
      data-private={post.thread ? '' : undefined}
      sx={{
        flex: 'none',
        contentVisibility: 'auto',
        containIntrinsicSize: 'auto 44px',
        ...(post.thread && { borderLeft: 3, borderColor: 'veranda.lake', pl: 1 }),
        '@media (hover: hover)': {
          '& .menu': { opacity: 0 },
          '&:hover .menu, &:focus-within .menu': { opacity: 1 },
        },
      }}
    >
      <Box sx={{ fontSize: 13, color: 'text.secondary', display: 'flex', alignItems: 'baseline', gap: 0.5 }}>
        <Box sx={{ minWidth: 0, overflowWrap: 'anywhere' }}>
          <Box component="strong" dir="auto" sx={{ color: 'text.primary' }}>
            {own ? 'You' : firstName(post.name)}
          </Box>{' '}
          to {post.thread && you ? <strong>{toWhom(post.thread, post.by, you)}</strong> : 'everyone'} ·{' '}
          {post.on_its_way ? 'on its way' : time}
          {post.parked && ` · ${post.parked === 'done' ? 'parked, done' : 'parked'}`}
        </Box>
        {acts && you && !post.on_its_way && <PostMenu {...{ post, you, acts, pinned }} />}
      </Box>
      <Box dir="auto" sx={{ overflowWrap: 'anywhere', whiteSpace: 'pre-wrap', opacity: post.on_its_way ? 0.65 : 1 }}>
        <PostText text={post.text ?? ''} />
      </Box>
      {post.file && <PostedFile id={post.file} />}
      {post.reactions && (
        <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
          {signCounts(post.reactions)
            .map(([sign, count]) => `${SIGN_WORDS[sign]} ${count}`)
            .join(' · ')}
        </Box>
      )}
    </Box>
  );
});
