import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import type { BoardRow } from '../../api/shapes';
import { Words } from '../../parts/words/Words';

interface Props {
  board: BoardRow;
  page: string;
  onChange: (changes: Partial<BoardRow>) => void;
}

const ACCESS = [
  ['staff', 'Instructors and assistants'],
  ['closed', 'Students, in class only'],
  ['read', 'Students, reading it at any time'],
  ['work', 'Students, working on it at any time'],
] as const;
type Access = (typeof ACCESS)[number][0];

/** The board on the paper: its name, who sees it when, and where it begins. */
export function BoardSettings({ board, page, onChange }: Props) {
  const access: Access = board.audience === 'staff' ? 'staff' : board.outside;
  const change = (to: Access) =>
    onChange(to === 'staff' ? { audience: 'staff' } : { audience: 'everyone', outside: to });
  return (
    <Box component="section" aria-label="This board" sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
      <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
        This board
      </Box>
      <Words label="Name" value={board.name} onSave={(name) => name.trim() && onChange({ name: name.trim() })} />
      <TextField
        select
        size="small"
        label="Who sees it"
        value={access}
        onChange={(event) => change(event.target.value as Access)}
      >
        {ACCESS.map(([value, says]) => (
          <MenuItem key={value} value={value}>
            {says}
          </MenuItem>
        ))}
      </TextField>
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
