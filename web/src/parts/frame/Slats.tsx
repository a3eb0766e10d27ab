import Box from '@mui/material/Box';

/** Three thin slats: under the ribbon and above the bench, the only ornament. */
export function Slats() {
  return (
    <Box
      aria-hidden
      sx={{
        height: 7,
        flex: 'none',
        background: 'repeating-linear-gradient(var(--mui-palette-divider) 0 1px, transparent 1px 3px)',
      }}
    />
  );
}
