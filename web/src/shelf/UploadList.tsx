import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import type { Uploads } from './useUploads';

/** What is on its way to the shelf. */
export function UploadList({ uploads }: { uploads: Uploads }) {
  if (uploads.list.length === 0) return null;
  return (
    <Box component="ul" aria-label="On the way" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {uploads.list.map(({ id, name, share, says }) => (
        <Box component="li" key={id} sx={{ display: 'flex', alignItems: 'center', gap: 1.5, py: 0.75 }}>
          <Box sx={{ flex: 1, minWidth: 0 }}>
            <Box sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>{name}</Box>
            {says ? (
              <Box role="alert" sx={{ fontSize: 14, color: 'error.main' }}>
                {says}
              </Box>
            ) : (
              <LinearProgress
                variant="determinate"
                value={share * 100}
                aria-label={`${name}, upload`}
                sx={{ mt: 0.5, borderRadius: 1 }}
              />
            )}
          </Box>
          <Button onClick={() => uploads.cancel(id)}>{says ? 'Put away' : 'Cancel'}</Button>
        </Box>
      ))}
    </Box>
  );
}
