import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { FIRST_PAGE } from '../../api/contracts';
import { useBoard, useFollowed, useServerNow } from '../../live/hooks';
import type { BoardState } from '../../live/board';
import type { PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';
import type { StaffState } from '../../live/staff';
import { PageThumb } from '../../board/page/PageThumb';
import { useMarksByPage } from '../../board/page/useMarksByPage';
import { Tiles } from '../../parts/frame/Tiles';
import { washOf } from '../../parts/words/people';
import { count } from '../../parts/words/times';
import { copiesOf, copyWords, type Copy } from './copies';
import { useCopyWork, WORK_EVERY } from './useCopyWork';

interface Props {
  /** The board that was handed out. */
  board: string;
  sitting: SittingState;
  staff: StaffState;
  place: PlaceState;
  onOpen: (copy: string, page: string) => void;
  onLeave: () => void;
}

/** Copies on the wall at a time: each is followed as it is drawn. */
const MOST = 24;
const WIDTH = 232;

/** For staff: everybody's copy of what was handed out, as it is drawn, whoever needs a look first. */
export function Wall({ board, sitting, staff, place, onOpen, onLeave }: Props) {
  const now = useServerNow(WORK_EVERY);
  const copies = copiesOf(board, { sitting, staff, place, work: useCopyWork(sitting.id) });
  const [from, setFrom] = useState(0);
  const begin = from < copies.length ? from : 0;
  const some = copies.slice(begin, begin + MOST);
  // In an order of its own, so that it is not asked anew when somebody raises a hand.
  useFollowed(some.map((copy) => copy.board).sort());
  const name = staff.boards.find(({ id }) => id === board)?.name ?? 'What was handed out';
  return (
    <Box
      component="section"
      aria-label={`Everybody’s copy of ${name}`}
      sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', gap: 1, px: 0.5, pb: 1 }}>
        <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
          Everybody’s copy of {name}
        </Box>
        <Box role="status" sx={{ flex: 1, minWidth: 180, color: 'text.secondary' }}>
          {summary(copies)}
        </Box>
        {copies.length > MOST && (
          <>
            <Button disabled={begin === 0} onClick={() => setFrom(begin - MOST)}>
              Those before
            </Button>
            <Button disabled={begin + MOST >= copies.length} onClick={() => setFrom(begin + MOST)}>
              More
            </Button>
          </>
        )}
        <Button variant="outlined" onClick={onLeave} sx={{ minHeight: { xs: 44, md: 32 } }}>
          Back to the board
        </Button>
      </Box>
      <Tiles width={WIDTH}>
        {some.map((copy) => (
          <Box component="li" key={copy.board}>
            <Hung copy={copy} now={now} onOpen={onOpen} />
          </Box>
        ))}
      </Tiles>
    </Box>
  );
}

/** One copy on the wall. */
function Hung({ copy, now, onOpen }: { copy: Copy; now: number; onOpen: Props['onOpen'] }) {
  const board = useBoard(copy.board);
  const page = board ? latest(board, copy.person) : FIRST_PAGE;
  return (
    <Box
      component="button"
      type="button"
      onClick={() => onOpen(copy.board, page)}
      sx={{
        display: 'block',
        width: 1,
        p: 0,
        overflow: 'hidden',
        font: 'inherit',
        color: 'inherit',
        textAlign: 'left',
        bgcolor: 'background.paper',
        border: 1,
        borderColor: copy.hand ? 'primary.main' : 'divider',
        borderRadius: 1,
        cursor: 'pointer',
      }}
    >
      <Box
        sx={{
          height: 132,
          overflow: 'hidden',
          bgcolor: 'background.default',
          '& svg': { width: '100%', height: 'auto' },
        }}
      >
        {board && <Small board={board} page={page} />}
      </Box>
      <Box sx={{ px: 1, py: 0.75, borderTop: '4px solid', borderColor: washOf(copy.person) }}>
        <Box
          component="strong"
          sx={{ display: 'block', overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
        >
          {copy.name}
        </Box>
        <Box sx={{ fontSize: 13, color: copy.hand ? 'text.primary' : 'text.secondary' }}>{copyWords(copy, now)}</Box>
      </Box>
    </Box>
  );
}

function Small({ board, page }: { board: BoardState; page: string }) {
  const marks = useMarksByPage(board.marks);
  return <PageThumb marks={marks(page)} facts={board.facts.get(page)} width={WIDTH} />;
}

/** The page on which somebody did something last. */
function latest(board: BoardState, person: string): string {
  let last: { at: number; page: string } | null = null;
  for (const { by, at, page } of board.marks.values()) if (by === person && at >= (last?.at ?? 0)) last = { at, page };
  return last && board.pages.includes(last.page) ? last.page : board.pages[0]!;
}

function summary(copies: Copy[]): string {
  if (copies.length === 0) return 'The copies are being made.';
  const [hands, begun, done] = [
    copies.filter(({ hand }) => hand).length,
    copies.filter(({ edits }) => edits > 0).length,
    copies.filter((copy) => copy.done).length,
  ];
  return [
    `${begun} of ${copies.length} have begun`,
    `${done} done`,
    ...(hands > 0 ? [count(hands, 'hand') + ' up'] : []),
  ].join(' · ');
}
