import Box from '@mui/material/Box';

interface Props {
  /** How many the server told of, and how many it tells of at the most. */
  count: number;
  most: number;
  /** Of what, as in "materials". */
  what: string;
}

/** Says that a list may be longer than what is shown of it. */
export function TheRest({ count, most, what }: Props) {
  if (count < most) return null;
  return (
    <Box component="li" sx={{ color: 'text.secondary', py: 2 }}>
      The first {most} {what} are shown here. Search for the others.
    </Box>
  );
}
