import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import type { Material } from '../../api/shapes';

/** The sound, clip or link that the instructor wanted at hand in this step. */
export function MaterialAtHand({ id }: { id: string }) {
  const material = useQuery({ queryKey: ['at-hand', id], queryFn: () => get<Material>(`/api/materials/${id}`) });
  if (!material.data) return null;
  const { title, version, link } = material.data;
  return (
    <Box sx={{ fontSize: 14 }}>
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>At hand</Box>
      <a href={link ?? `/api/materials/${id}/${version}/original`} target="_blank" rel="noreferrer">
        {title}
      </a>
    </Box>
  );
}
