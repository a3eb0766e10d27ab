import Box from '@mui/material/Box';

/** Veranda's sign: an arch over three posts and a floor. */
export function Brand({ size = 32 }: { size?: number }) {
  return (
    <Box
      component="svg"
      viewBox="0 0 32 32"
      aria-hidden
      sx={{ width: size, height: size, flex: 'none', fill: 'none', strokeWidth: 2.2, strokeLinecap: 'round' }}
    >
      <Box
        component="path"
        d="M4 27V13C4 7 9 3 16 3s12 4 12 10v14M11 27V17M16 27V13M21 27V17"
        sx={{ stroke: 'var(--mui-palette-primary-main)' }}
      />
      <Box component="path" d="M2 28.5h28" sx={{ stroke: 'var(--mui-palette-error-main)' }} />
    </Box>
  );
}
