import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Elsewhere } from './Recorder';

interface Props {
  /** Which page one looks at, of these. */
  at: { board: string; page: string };
  pages: readonly string[];
  /** Whether that is another than the one on show. */
  left: boolean;
  /** Boards that were recorded. */
  boards: { id: string; name: string }[];
  onGo: (to: Elsewhere | null) => void;
}

/** Leaves the page on show for another, while sound and time go on, and comes back. */
export function Pages({ at, pages, left, boards, onGo }: Props) {
  const index = pages.indexOf(at.page);
  const turn = (by: number) => onGo({ board: at.board, page: pages[index + by]! });
  return (
    <>
      {left && (
        <Button size="small" variant="contained" color="primary" onClick={() => onGo(null)} title="B">
          Back to what was on show
        </Button>
      )}
      {boards.length > 1 && (
        <TextField
          select
          size="small"
          value={at.board}
          onChange={({ target }) => onGo({ board: target.value, page: null })}
          slotProps={{ htmlInput: { 'aria-label': 'Board that you look at' } }}
          sx={{ maxWidth: 180, bgcolor: 'background.paper', borderRadius: 1, '& .MuiSelect-select': { py: 0.5 } }}
        >
          {boards.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      )}
      {pages.length > 1 && (
        <>
          <Button size="small" aria-label="Page before" disabled={index <= 0} onClick={() => turn(-1)}>
            ‹
          </Button>
          <Box sx={{ alignSelf: 'center', fontSize: 14, px: 0.5, bgcolor: 'background.paper', borderRadius: 1 }}>
            {index + 1} of {pages.length}
          </Box>
          <Button size="small" aria-label="Page after" disabled={index >= pages.length - 1} onClick={() => turn(1)}>
            ›
          </Button>
        </>
      )}
    </>
  );
}
