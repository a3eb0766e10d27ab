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

/** The same words are another place on another page. */
export const placeKey = ({ kind, words, board, page }: RecordedPlace) => [kind, board, page, words].join(' ');

interface Props {
  recording: string;
  places: RecordedPlace[];
  sought: string;
}

const moment = ({ at, board, page }: RecordedPlace) =>
  new URLSearchParams({ at: `${at}`, ...(board && page ? { board, page } : {}) });

/** Where in a recording something was found, each the way there. */
export function Places({ recording, places, sought }: Props) {
  return (
    <Box component="ul" aria-label="Where it was found" sx={{ listStyle: 'none', m: 0, mt: 1, p: 0 }}>
      {places.map((place) => (
        <Box component="li" key={placeKey(place)} sx={{ borderTop: 1, borderColor: 'divider' }}>
          <Box
            component={Link}
            to={`/recordings/${recording}?${moment(place)}`}
            sx={{ display: 'flex', gap: 1.5, py: 0.75, color: 'inherit', textDecoration: 'none', fontSize: 14 }}
          >
            <Box sx={{ color: 'text.secondary', flex: 'none', width: 130 }}>
              {clockTime(place.at)} · {KINDS[place.kind]}
            </Box>
            <Box dir="auto" sx={{ minWidth: 0, overflowWrap: 'anywhere' }}>
              <Found words={place.words} sought={sought} />
            </Box>
          </Box>
        </Box>
      ))}
    </Box>
  );
}
