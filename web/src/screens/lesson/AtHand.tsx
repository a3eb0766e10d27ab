import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMaterials } from '../../shelf/useMaterials';
import { stateOf } from '../../shelf/words';

interface Props {
  course: string;
  material: string | null;
  onMaterial: (material: string | null) => void;
}

/** A sound, clip or link that one wants at hand in a step. */
export function AtHand({ course, material, onMaterial }: Props) {
  const materials = useMaterials(course);
  const played = (materials.data ?? []).filter(({ kind }) => ['sound', 'clip', 'link'].includes(kind));
  if (played.length === 0) return null;
  return (
    <TextField
      select
      size="small"
      label="Sound, clip or link at hand"
      value={played.some(({ id }) => id === material) ? material : ''}
      onChange={(event) => onMaterial(event.target.value || null)}
    >
      <MenuItem value="">None</MenuItem>
      {played.map((one) => (
        <MenuItem key={one.id} value={one.id}>
          {one.title} ({stateOf(one)})
        </MenuItem>
      ))}
    </TextField>
  );
}
