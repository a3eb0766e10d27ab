import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { get } from '../api/http';
import type { Author, BoardRow } from '../api/shapes';
import { ACCESS, accessOf, changedTo, type Access } from './words/audiences';

type Facts = Pick<BoardRow, 'audience' | 'outside' | 'people'>;

interface Props {
  board: Facts;
  /** Id of the lesson, whose students may be chosen. */
  lesson: string;
  label?: string;
  onChange: (changes: Partial<Facts>) => void;
}

/** Who sees a board, and which students where it is for some. */
export function WhoSees({ board, lesson, label = 'Who sees it', onChange }: Props) {
  const access = accessOf(board);
  return (
    <Box>
      <TextField
        select
        size="small"
        fullWidth
        label={label}
        value={access}
        onChange={(event) => onChange(changedTo(event.target.value as Access))}
      >
        {ACCESS.map(([value, says]) => (
          <MenuItem key={value} value={value}>
            {says}
          </MenuItem>
        ))}
      </TextField>
      {access === 'people' && <Named {...{ lesson, label }} people={board.people} onChange={onChange} />}
    </Box>
  );
}

function Named({
  people,
  lesson,
  label,
  onChange,
}: {
  people: string[];
  lesson: string;
  label: string;
  onChange: Props['onChange'];
}) {
  const { data } = useQuery({
    queryKey: ['expected', lesson],
    queryFn: () => get<{ people: Author[] }>(`/api/lessons/${lesson}/expected`),
  });
  const choose = (id: string, on: boolean) =>
    onChange({ people: on ? [...people, id] : people.filter((one) => one !== id) });
  return (
    <Box role="group" aria-label={`${label}, by name`} sx={{ display: 'flex', flexWrap: 'wrap', mt: 0.5 }}>
      {data?.people.map(({ id, name }) => (
        <FormControlLabel
          key={id}
          control={<Checkbox size="small" checked={people.includes(id)} onChange={(_, on) => choose(id, on)} />}
          label={name}
        />
      ))}
      {data?.people.length === 0 && <Box sx={{ color: 'text.secondary' }}>This course has no students yet.</Box>}
    </Box>
  );
}
