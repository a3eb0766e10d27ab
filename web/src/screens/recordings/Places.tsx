import Box from '@mui/material/Box';
import { Link } from 'react-router';
import type { RecordedPlace } from '../../api/shapes';
import { clockTime } from '../../parts/words/times';
import { Found } from './Found';

export const KINDS: Record<RecordedPlace['kind'], string> = {
  post: 'posted',
  question: 'asked',
  caption: 'said',
  board: 'on a board',
  slide: 'on a slide',
  poll: 'in a poll',
  chapter: 'chapter',
};

interface Props {
  recording: string;
  places: RecordedPlace[];
  sought: string;
}

/** Where in a recording something was found, each the way there. */
export function Places({ recording, places, sought }: Props) {
  return (
    <Box component="ul" aria-label="Where it was found" sx={{ listStyle: 'none', m: 0, mt: 1, p: 0 }}>
      {places.map(({ at, kind, words, board, page }) => (
        <Box component="li" key={`${at} ${kind} ${words}`} sx={{ borderTop: 1, borderColor: 'divider' }}>
          <Box
            component={Link}
            to={`/recordings/${recording}?${new URLSearchParams({ at: `${at}`, ...(board && page ? { board, page } : {}) })}`}
            sx={{ display: 'flex', gap: 1.5, py: 0.75, color: 'inherit', textDecoration: 'none', fontSize: 14 }}
          >
            <Box sx={{ color: 'text.secondary', flex: 'none', width: 130 }}>
              {clockTime(at)} · {KINDS[kind]}
            </Box>
            <Box dir="auto" sx={{ minWidth: 0, overflowWrap: 'anywhere' }}>
              <Found words={words} sought={sought} />
            </Box>
          </Box>
        </Box>
      ))}
    </Box>
  );
}
