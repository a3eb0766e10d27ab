import Box from '@mui/material/Box';
import { Fragment, type ReactNode } from 'react';
import type { Room } from '../../../api/shapes';
import { PageThumb } from '../../../board/page/PageThumb';
import { useMarksByPage } from '../../../board/page/useMarksByPage';
import type { BoardState } from '../../../live/board';
import type { ExchangeState } from '../../../live/exchange';
import { useBoard, useFollowed, usePlace, useStream } from '../../../live/hooks';
import { exchangeStream } from '../../../live/streams';
import { PostText } from '../../../parts/exchange/PostText';
import { clockTime } from '../../../parts/words/times';
import { RoomsHead } from './RoomsPage';

interface Props {
  sitting: string;
  room: Room;
  children: ReactNode;
}

/** For staff: what is on the board of a room and what is written in it, without going there. Those inside are told that it may be read. */
export function Reading({ sitting, room, children }: Props) {
  const shown = usePlace(sitting, room.id)?.shown?.board;
  const id = shown ?? room.boards[0]?.id;
  useFollowed(id ? [id] : []);
  const board = useBoard(id);
  const posts = useStream<ExchangeState>(exchangeStream(sitting, room.id))?.posts ?? [];
  return (
    <Box
      component="section"
      aria-label={`Reading ${room.name}`}
      sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}
    >
      <RoomsHead title={room.name} says="You read along from outside; those in it know that you may.">
        {children}
      </RoomsHead>
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          overflowY: 'auto',
          display: 'grid',
          gap: 2,
          px: 0.5,
          alignItems: 'start',
          gridTemplateColumns: { xs: '1fr', md: '2fr minmax(220px, 1fr)' },
        }}
      >
        <Box sx={{ display: 'grid', gap: 1, '& svg': { width: 1, height: 'auto', borderRadius: 1 } }}>
          {board && <Pages board={board} />}
        </Box>
        <Box role="log" aria-label={`Written in ${room.name}`} tabIndex={0}>
          {posts.length === 0 && <Box sx={{ color: 'text.secondary' }}>Nothing is written here yet.</Box>}
          {posts
            .filter(({ deleted_by }) => !deleted_by)
            .map((post) => (
              <Box key={post.id} sx={{ mb: 1 }}>
                <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{`${post.name}, ${clockTime(post.at)}`}</Box>
                {post.text ? <PostText text={post.text} /> : 'A file'}
              </Box>
            ))}
        </Box>
      </Box>
    </Box>
  );
}

function Pages({ board }: { board: BoardState }) {
  const marks = useMarksByPage(board.marks);
  return board.pages.map((page) => (
    <Fragment key={page}>
      <PageThumb marks={marks(page)} facts={board.facts.get(page)} width={800} />
    </Fragment>
  ));
}
