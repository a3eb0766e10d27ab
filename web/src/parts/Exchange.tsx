import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import OutlinedInput from '@mui/material/OutlinedInput';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { POST_LIMIT } from '../api/contracts';
import { useConnection, useExchange, useLive } from '../live/hooks';
import { newId } from '../live/LiveClient';
import type { Post } from '../live/exchange';
import { firstName } from './people';
import { clockTime } from './times';
import { useShortcuts } from './useShortcuts';

/** The stream of written words of a class, newest below. */
export function Exchange({ sitting }: { sitting: string }) {
  const exchange = useExchange(sitting);
  const { you, rights } = useConnection();
  const live = useLive();
  const stream = `exchange/${sitting}`;
  const list = useRef<HTMLDivElement>(null);
  const last = exchange?.posts.at(-1)?.id;

  useEffect(() => {
    list.current?.scrollTo({ top: list.current.scrollHeight });
  }, [last]);

  return (
    <Box
      component="section"
      aria-label="Exchange"
      sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}
    >
      <Box component="h2" sx={{ m: 0, px: 1.75, py: 1.25, typography: 'h2', borderBottom: 1, borderColor: 'divider' }}>
        Exchange
      </Box>
      <Box
        ref={list}
        tabIndex={0}
        role="log"
        aria-label="Posts"
        sx={{ flex: 1, overflowY: 'auto', px: 1.75, py: 1.25, display: 'flex', flexDirection: 'column', gap: 1.5 }}
      >
        {exchange?.posts.length === 0 && <Box sx={{ color: 'text.secondary' }}>Nothing written yet.</Box>}
        {exchange?.posts.map((post) => (
          <PostView
            key={post.id}
            post={post}
            own={post.by === you?.id}
            onDelete={
              post.by === you?.id || you?.staff
                ? () => void live.do('exchange.delete', stream, { id: post.id })
                : undefined
            }
          />
        ))}
      </Box>
      <Write
        reason={rights?.post.allowed ? null : (rights?.post.says ?? 'One moment.')}
        onPost={(text) => live.do('exchange.post', stream, { id: newId(), text }).then((outcome) => outcome.ok)}
      />
    </Box>
  );
}

interface PostProps {
  post: Post;
  own: boolean;
  /** When, if not by the time of day. */
  time?: string;
  onDelete?: () => void;
}

/** One post, with whom it went to in words. */
export function PostView({ post, own, time = clockTime(post.at), onDelete }: PostProps) {
  if (post.deleted_by)
    return <Box sx={{ fontSize: 13, color: 'text.secondary' }}>A post of {firstName(post.name)} was deleted.</Box>;
  return (
    <Box
      data-testid="post"
      sx={{
        '& .delete': { visibility: 'hidden' },
        '&:hover .delete, &:focus-within .delete': { visibility: 'visible' },
      }}
    >
      <Box sx={{ fontSize: 13, color: 'text.secondary', display: 'flex', alignItems: 'baseline', gap: 0.5 }}>
        <Box component="strong" sx={{ color: 'text.primary' }}>
          {own ? 'You' : firstName(post.name)}
        </Box>
        to everyone · {time}
        {onDelete && (
          <Button
            className="delete"
            size="small"
            onClick={onDelete}
            sx={{ ml: 'auto', minHeight: 0, minWidth: 0, p: '0 6px', fontSize: 13, border: 'none' }}
          >
            Delete
          </Button>
        )}
      </Box>
      <Box sx={{ overflowWrap: 'anywhere', whiteSpace: 'pre-wrap' }}>{post.text}</Box>
    </Box>
  );
}

interface WriteProps {
  reason: string | null;
  onPost: (text: string) => Promise<boolean>;
}

function Write({ reason, onPost }: WriteProps) {
  const [text, setText] = useState('');
  const input = useRef<HTMLInputElement>(null);
  useShortcuts({ e: () => input.current?.focus() });

  const send = async () => {
    const words = text.trim();
    if (!words) return;
    setText('');
    // A refused post goes back into the box, unless something new is there by now.
    if (!(await onPost(words))) setText((present) => present || words);
  };
  const key = (event: KeyboardEvent) => {
    if (event.key === 'Escape') input.current?.blur();
    if (event.key !== 'Enter' || event.shiftKey) return;
    event.preventDefault();
    void send();
  };

  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider', p: 1.5 }}>
      <Box sx={{ fontSize: 13, mb: 0.75 }}>
        {reason ?? (
          <>
            To <strong>everyone here</strong>
          </>
        )}
      </Box>
      <OutlinedInput
        fullWidth
        multiline
        maxRows={5}
        size="small"
        inputRef={input}
        disabled={reason !== null}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={key}
        placeholder="Write, or press E"
        inputProps={{ 'aria-label': 'Write to everyone here', maxLength: POST_LIMIT }}
      />
    </Box>
  );
}
