import Box from '@mui/material/Box';
import { snippet } from './snippet';

/** Some words around what was looked for, with it marked. */
export function Found({ words, sought }: { words: string; sought: string }) {
  return snippet(words, sought).map(([text, marked], i) =>
    marked ? (
      <Box key={i} component="mark" sx={{ bgcolor: 'veranda.wash', color: 'inherit', fontWeight: 700 }}>
        {text}
      </Box>
    ) : (
      text
    ),
  );
}
