import Box from '@mui/material/Box';
import { useLive } from '../live/hooks';
import { clipPosition, type PlaceState } from '../live/place';
import { ClipMedia } from './ClipMedia';
import { clipFile, plays } from './useClip';

interface Props {
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  /** Whether it lies on the paper, or is only heard. */
  seen: boolean;
}

/** What plays for everybody: on the paper in place of the board, or behind it and only heard. */
export function ClipPaper({ place: { clip }, room, seen }: Props) {
  const live = useLive();
  if (!clip) return null;
  const now = () => {
    const at = clipPosition(clip, Date.now() + live.skew);
    return { at, playing: plays(clip, at), speed: clip.speed };
  };
  const src = clipFile(clip, room);
  return (
    <Box
      sx={{
        ...(seen ? { flex: 1, minHeight: 0, position: 'relative' } : { display: 'none' }),
        ...{ border: 1, borderColor: 'divider', borderRadius: 1, overflow: 'hidden', bgcolor: 'background.paper' },
      }}
    >
      <ClipMedia key={src} {...{ clip, src, now }} />
    </Box>
  );
}
