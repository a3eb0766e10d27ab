import Box from '@mui/material/Box';

/** Shown while something is on its way. */
export function Waiting({ says = 'One moment' }: { says?: string }) {
  return (
    <Box
      component="main"
      sx={{ height: '100%', display: 'grid', placeItems: 'center', color: 'text.secondary' }}
      role="status"
    >
      {says} …
    </Box>
  );
}
