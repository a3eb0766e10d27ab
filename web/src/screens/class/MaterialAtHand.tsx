import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import Button from '@mui/material/Button';
import { useClip } from '../../clips/useClip';
import type { PlaceState } from '../../live/place';
import type { Material } from '../../api/shapes';

interface Props {
  id: string;
  place: PlaceState;
  /** Stream of the place. */
  room: string;
}

/** The sound, clip or link that the instructor wanted at hand in this step. */
export function MaterialAtHand({ id, place, room }: Props) {
  const { put } = useClip(place, room);
  const material = useQuery({ queryKey: ['at-hand', id], queryFn: () => get<Material>(`/api/materials/${id}`) });
  if (!material.data) return null;
  const { title, version, link, kind } = material.data;
  return (
    <Box sx={{ fontSize: 14 }}>
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>At hand</Box>
      <a href={link ?? `/api/materials/${id}/${version}/original`} target="_blank" rel="noreferrer">
        {title}
      </a>
      {(kind === 'sound' || kind === 'clip' || kind === 'link') && (
        <Button onClick={() => put(id, false)} sx={{ width: 1, mt: 0.5 }}>
          Play it for everyone
        </Button>
      )}
    </Box>
  );
}
