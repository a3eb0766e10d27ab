import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import type { BoardState } from '../../live/board';
import { PageThumb } from '../page/PageThumb';
import { useMarksByPage } from '../page/useMarksByPage';

interface Props {
  board: BoardState;
  page: string;
  onPage: (page: string) => void;
  onClose: () => void;
}

/** All pages of a board at once. */
export function Overview({ board, page, onPage, onClose }: Props) {
  const marks = useMarksByPage(board.marks);
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-label="All pages">
      <DialogContent>
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(190px, 1fr))', gap: 2 }}>
          {board.pages.map((id, i) => (
            <Box
              key={id}
              component="button"
              type="button"
              aria-current={id === page}
              onClick={() => {
                onPage(id);
                onClose();
              }}
              sx={{
                p: 0.75,
                font: 'inherit',
                color: 'inherit',
                textAlign: 'left',
                bgcolor: id === page ? 'veranda.wash' : 'background.paper',
                border: 1,
                borderColor: id === page ? 'primary.main' : 'divider',
                borderRadius: 1,
                cursor: 'pointer',
                overflow: 'hidden',
              }}
            >
              <PageThumb marks={marks(id)} facts={board.facts.get(id)} width={190} />
              <Box sx={{ pt: 0.5 }}>Page {i + 1}</Box>
            </Box>
          ))}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
