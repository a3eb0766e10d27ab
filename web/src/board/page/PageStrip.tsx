import Box from '@mui/material/Box';
import { useDeferredValue, useEffect, useRef } from 'react';
import type { BoardState } from '../../live/board';
import { PageThumb } from './PageThumb';
import { useMarksByPage } from './useMarksByPage';

interface Props {
  board: BoardState;
  page: string;
  onPage: (page: string) => void;
}

const WIDTH = 84;

/** The slides of a board in a row, with what was drawn on them. */
export function PageStrip({ board, page, onPage }: Props) {
  // What is drawn shows in small a little later than on the page itself.
  const marks = useMarksByPage(useDeferredValue(board.marks));
  const here = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    void here.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [page]);
  return (
    <Box
      component="nav"
      aria-label="Pages"
      sx={{
        flex: 'none',
        display: 'flex',
        gap: 0.75,
        px: 1,
        py: 0.75,
        overflowX: 'auto',
        border: 1,
        borderBottom: 0,
        borderColor: 'divider',
        bgcolor: 'background.paper',
      }}
    >
      {board.pages.map((id, i) => (
        <Box
          key={id}
          ref={id === page ? here : undefined}
          component="button"
          type="button"
          aria-label={`Page ${i + 1}`}
          aria-current={id === page ? 'page' : undefined}
          onClick={() => onPage(id)}
          sx={{
            flex: 'none',
            height: 52,
            p: 0,
            overflow: 'hidden',
            position: 'relative',
            border: 1,
            borderColor: 'divider',
            outline: id === page ? '2px solid' : 'none',
            outlineColor: 'var(--mui-palette-primary-main)',
            borderRadius: 0.5,
            cursor: 'pointer',
            contentVisibility: 'auto',
          }}
        >
          <PageThumb marks={marks(id)} facts={board.facts.get(id)} width={WIDTH} />
          <Box
            sx={{
              position: 'absolute',
              left: 0,
              bottom: 0,
              px: 0.5,
              fontSize: 13,
              bgcolor: 'background.paper',
              color: 'text.primary',
            }}
          >
            {i + 1}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
