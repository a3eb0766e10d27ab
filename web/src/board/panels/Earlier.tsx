import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { get } from '../../api/http';
import type { BoardChange } from '../../api/shapes';
import { boardFold, type BoardState } from '../../live/board';
import { clockTime, count, day } from '../../parts/words/times';
import { heightOf } from '../geometry/boxes';
import { Marks } from '../page/Marks';
import { PageView } from '../page/PageView';
import { marksOf } from '../page/marksOf';

interface Props {
  board: string;
  page: string;
  authors: ReadonlyMap<string, string>;
  onBringBack: (seq: number) => void;
  onClose: () => void;
}

const WAYS: Record<string, string> = {
  clear: 'took off',
  undo: 'took back',
  redo: 'did again',
  brought_back: 'brought back',
};

/** Looks back through everything that happened on a page, and brings any moment of it back. */
export function Earlier({ board, page, authors, onBringBack, onClose }: Props) {
  const changes = useQuery({
    queryKey: ['changes', board, page],
    queryFn: () => get<BoardChange[]>(`/api/boards/${board}/changes?page=${page}`),
    gcTime: 0,
  });
  const [chosen, setChosen] = useState<number | null>(null);
  const list = changes.data ?? [];
  const at = chosen ?? Math.max(list.length - 1, 0);
  const change = list[at];
  const then = useQuery({
    queryKey: ['board-at', board, change?.seq],
    queryFn: () => get<unknown>(`/api/boards/${board}/at/${change!.seq}`).then((view) => boardFold.from(view)),
    enabled: !!change,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });

  return (
    <Box
      component="section"
      aria-label="Earlier"
      sx={{ position: 'absolute', inset: 0, bgcolor: 'background.default' }}
    >
      <Box sx={{ position: 'absolute', inset: '0 0 76px 0' }}>
        {then.data && <PageThen board={then.data} page={page} />}
      </Box>
      <Box
        sx={{
          position: 'absolute',
          inset: 'auto 0 0 0',
          height: 76,
          px: 2,
          display: 'flex',
          alignItems: 'center',
          gap: 2,
          bgcolor: 'background.paper',
          borderTop: 1,
          borderColor: 'divider',
        }}
      >
        <Box sx={{ flex: 1 }}>
          <Box role="status" sx={{ fontSize: 14 }}>
            {change
              ? `${day(change.at, 'short')}, ${clockTime(change.at, true)}: ${authors.get(change.by) ?? 'someone'} ${WAYS[change.way ?? ''] ?? 'changed'} ${count(change.count, 'mark')}`
              : changes.isPending
                ? 'Looking back'
                : 'Nothing has happened on this page yet.'}
          </Box>
          <Slider
            size="small"
            aria-label="Moment"
            disabled={list.length < 2}
            min={0}
            max={Math.max(list.length - 1, 1)}
            value={at}
            onChange={(_, value) => setChosen(value as number)}
            sx={{ py: 1 }}
          />
        </Box>
        <Button
          variant="contained"
          color="primary"
          disabled={!change || at === list.length - 1}
          onClick={() => onBringBack(change!.seq)}
        >
          Bring this back
        </Button>
        <Button onClick={onClose}>Back to now</Button>
      </Box>
    </Box>
  );
}

function PageThen({ board, page }: { board: BoardState; page: string }) {
  const marks = marksOf(board, page);
  return (
    <PageView
      title={`The page then, ${marks.length} marks`}
      height={heightOf(board, page)}
      ground={board.facts.get(page)?.ground}
    >
      <Marks marks={marks} authors={board.authors} />
    </PageView>
  );
}
