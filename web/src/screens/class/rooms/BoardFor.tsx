import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Room, SittingBoard } from '../../../api/shapes';

interface Props {
  room: Room;
  /** Those that everyone may see. */
  boards: SittingBoard[];
  /** `null` for that of the plan or the step, none for an empty one. */
  onChoose: (from: string[] | null) => void;
}

const PLANNED = 'planned';
const EMPTY = 'empty';
const SEVERAL = 'several';

/** Of which board a room that is not open yet gets a copy. */
export function BoardFor({ room, boards, onChoose }: Props) {
  const { from } = room;
  const known = boards.some(({ id }) => id === from?.[0]);
  const value = !from ? PLANNED : from.length === 0 ? EMPTY : from.length === 1 && known ? from[0] : SEVERAL;
  return (
    <TextField
      select
      fullWidth
      size="small"
      label="Board"
      value={value}
      onChange={({ target }) =>
        onChoose(target.value === PLANNED ? null : target.value === EMPTY ? [] : [target.value])
      }
      slotProps={{ htmlInput: { 'aria-label': `Board of ${room.name}` } }}
    >
      <MenuItem value={PLANNED}>As planned</MenuItem>
      <MenuItem value={EMPTY}>An empty one</MenuItem>
      {value === SEVERAL && <MenuItem value={SEVERAL}>Its earlier work</MenuItem>}
      {boards.map(({ id, name }) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
