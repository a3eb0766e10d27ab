import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { duration } from '../parts/words/times';
import { useClips } from './useClips';

interface Props {
  /** Id of what is chosen. */
  material: string | undefined;
  course: string;
  /** With its title, by which a cue is named. */
  onChoose: (material: string, title: string) => void;
}

/** Which sound or clip of the shelf is played. */
export function ClipField({ material, course, onChoose }: Props) {
  const clips = useClips(course);
  const there = clips?.some(({ id }) => id === material);
  return (
    <TextField
      select
      fullWidth
      size="small"
      label="Play"
      value={there ? material : ''}
      helperText={clips?.length === 0 ? 'No sound and no clip is on the shelf yet.' : undefined}
      onChange={({ target }) => {
        const clip = clips?.find(({ id }) => id === target.value);
        if (clip) onChoose(clip.id, clip.title.slice(0, 80));
      }}
    >
      {(clips ?? []).map(({ id, title, facts }) => (
        <MenuItem key={id} value={id}>
          {title} ({duration((facts.seconds ?? 0) * 1_000)})
        </MenuItem>
      ))}
    </TextField>
  );
}
