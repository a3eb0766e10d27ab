import Box from '@mui/material/Box';
import type { CaptionWish } from './wish';

interface Props {
  lines: { id: string; words: string }[];
  lang?: string;
  wish: CaptionWish;
}

/** What is said, in writing: the last lines, beside the board and never over it. */
export function CaptionLines({ lines, lang, wish }: Props) {
  return (
    <Box
      component="section"
      aria-label="Captions"
      aria-live="polite"
      lang={lang}
      dir="auto"
      sx={{
        ...{ flex: 'none', px: 1.5, py: 0.75, minHeight: wish.large ? 84 : 56, borderRadius: 1, textAlign: 'center' },
        ...{ bgcolor: 'text.primary', color: 'background.paper', fontSize: wish.large ? 24 : 17, lineHeight: 1.35 },
        ...{ display: 'grid', alignContent: 'end', overflowWrap: 'anywhere', whiteSpace: 'pre-line' },
      }}
    >
      {lines.map(({ id, words }) => (
        <div key={id}>{words}</div>
      ))}
    </Box>
  );
}
