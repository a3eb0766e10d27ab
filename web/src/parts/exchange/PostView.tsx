import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo } from 'react';
import type { ExchangeState } from '../../live/exchange';
import { firstName } from '../words/people';
import { clockTime } from '../words/times';

interface Props {
  post: ExchangeState['posts'][number];
  own: boolean;
  /** When, if not by the time of day. */
  time?: string;
  onDelete?: (id: string) => void;
}

/**
 * One post, with whom it went to in words. Posts out of sight are neither laid out nor painted, and yet can be found and listened to,
 * however many there are.
 */
export const PostView = memo(function PostView({ post, own, time = clockTime(post.at), onDelete }: Props) {
  if (post.deleted_by)
    return <Box sx={{ fontSize: 13, color: 'text.secondary' }}>A post of {firstName(post.name)} was deleted.</Box>;
  return (
    <Box
      data-testid="post"
      sx={{
        flex: 'none',
        contentVisibility: 'auto',
        containIntrinsicSize: 'auto 44px',
        '@media (hover: hover)': {
          '& .delete': { visibility: 'hidden' },
          '&:hover .delete, &:focus-within .delete': { visibility: 'visible' },
        },
      }}
    >
      <Box sx={{ fontSize: 13, color: 'text.secondary', display: 'flex', alignItems: 'baseline', gap: 0.5 }}>
        <Box component="strong" dir="auto" sx={{ color: 'text.primary' }}>
          {own ? 'You' : firstName(post.name)}
        </Box>
        to everyone · {post.on_its_way ? 'on its way' : time}
        {onDelete && !post.on_its_way && (
          <Button
            className="delete"
            size="small"
            onClick={() => onDelete(post.id)}
            sx={{ ml: 'auto', minHeight: { xs: 44, md: 24 }, minWidth: 0, p: '0 6px', fontSize: 13, border: 'none' }}
          >
            Delete
          </Button>
        )}
      </Box>
      <Box dir="auto" sx={{ overflowWrap: 'anywhere', whiteSpace: 'pre-wrap', opacity: post.on_its_way ? 0.65 : 1 }}>
        {post.text}
      </Box>
    </Box>
  );
});
