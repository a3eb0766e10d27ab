import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Switch from '@mui/material/Switch';
import type { BoardRow } from '../../api/shapes';
import { WhoSees } from '../../parts/WhoSees';
import { Words } from '../../parts/words/Words';

interface Props {
  board: BoardRow;
  page: string;
  onChange: (changes: Partial<BoardRow>) => void;
}

/** The board on the paper: its name, who sees it when, and where it begins. */
export function BoardSettings({ board, page, onChange }: Props) {
  return (
    <Box component="section" aria-label="This board" sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
      <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
        This board
      </Box>
      <Words label="Name" value={board.name} onSave={(name) => name.trim() && onChange({ name: name.trim() })} />
      <WhoSees board={board} lesson={board.lesson_id} onChange={onChange} />
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Box sx={{ flex: 1 }}>Keep as a template</Box>
        <Switch
          checked={board.template}
          slotProps={{ input: { 'aria-label': 'Keep as a template' } }}
          onChange={(_, template) => onChange({ template })}
        />
      </Box>
      {board.first_page !== page && (
        <Button onClick={() => onChange({ first_page: page })} sx={{ alignSelf: 'flex-start' }}>
          Begin with this page
        </Button>
      )}
    </Box>
  );
}
