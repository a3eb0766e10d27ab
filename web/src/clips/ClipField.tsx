import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { lengthOf, useClips } from './useClips';

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
      helperText={clips?.length === 0 ? 'No sound, clip or link is on the shelf yet.' : undefined}
      onChange={({ target }) => {
        const clip = clips?.find(({ id }) => id === target.value);
        if (clip) onChoose(clip.id, clip.title.slice(0, 80));
      }}
    >
      {(clips ?? []).map((clip) => (
        <MenuItem key={clip.id} value={clip.id}>
          {clip.title} ({lengthOf(clip)})
        </MenuItem>
      ))}
    </TextField>
  );
}
