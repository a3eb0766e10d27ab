import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import type { MaterialFacts } from '../../api/shapes';
import { slideAddress } from '../../board/page/addresses';
import { sizeOf } from '../words/sizes';

/** How often (ms) it is asked for while it is worked on. */
const EVERY = 1_500;
const UNDERWAY = new Set(['waiting', 'working']);

/** What there is to know of a file that was posted. */
export const usePostedFile = (id: string | undefined) =>
  useQuery({
    queryKey: ['posted', id],
    queryFn: () => get<MaterialFacts>(`/api/posted/${id}`),
    enabled: id !== undefined,
    staleTime: Infinity,
    refetchInterval: ({ state }) => (state.data && UNDERWAY.has(state.data.state) ? EVERY : false),
  });

/** A file in a post: a picture as such, sounds and clips to be played, anything else to be saved. */
export function PostedFile({ id }: { id: string }) {
  const { data: file, error } = usePostedFile(id);
  if (error) return <Box sx={{ fontSize: 13, color: 'text.secondary' }}>The file cannot be shown: {error.message}</Box>;
  if (!file) return <Box sx={{ fontSize: 13, color: 'text.secondary' }}>A file</Box>;
  if (UNDERWAY.has(file.state))
    return <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{file.name} is being looked through.</Box>;
  if (file.state === 'failed')
    return (
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
        {file.findings[0]?.says ?? `${file.name} could not be opened.`}
      </Box>
    );
  const original = `/api/materials/${id}/${file.version}/original`;
  if (file.kind === 'picture')
    return (
      <a href={slideAddress(id, file.version, 1)} target="_blank" rel="noreferrer" aria-label={`${file.name}, in full`}>
        <Box
          component="img"
          src={slideAddress(id, file.version, 1)}
          alt={file.title}
          sx={{
            display: 'block',
            maxWidth: 1,
            maxHeight: 220,
            mt: 0.5,
            borderRadius: 1,
            border: 1,
            borderColor: 'divider',
          }}
        />
      </a>
    );
  if (file.kind === 'sound')
    return (
      <Box component="audio" controls preload="none" src={original} aria-label={file.name} sx={{ width: 1, mt: 0.5 }} />
    );
  if (file.kind === 'clip')
    return (
      <Box component="video" controls preload="none" src={original} aria-label={file.name} sx={{ width: 1, mt: 0.5 }} />
    );
  return (
    <Box component="a" href={original} download={file.name} sx={{ display: 'inline-block', py: 0.5 }}>
      {file.name} ({sizeOf(file.size)})
    </Box>
  );
}
