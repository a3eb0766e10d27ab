import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { get } from '../../api/http';
import type { RecordedPlace } from '../../api/shapes';
import { useRested } from '../../parts/hooks/useRested';
import { duration } from '../../parts/words/times';
import { Found } from '../recordings/Found';
import { KINDS, placeKey } from '../recordings/Places';
import type { Recorder } from './Recorder';

interface Props {
  recorder: Recorder;
  recording: string;
  /** What is there while nothing is looked for. */
  children: ReactNode;
}

/** Looks for words in a recording, and jumps to where they were written, said or shown. */
export function FindThen({ recorder, recording, children }: Props) {
  const [text, setText] = useState('');
  const sought = useRested(text.trim(), 250);
  const found = useQuery({
    queryKey: ['recording-places', recording, sought],
    queryFn: () =>
      get<{ places: RecordedPlace[] }>(`/api/recordings/${recording}/places?search=${encodeURIComponent(sought)}`),
    enabled: sought.length > 1,
  });
  const places = sought.length > 1 ? found.data?.places : undefined;
  return (
    <>
      <TextField
        size="small"
        sx={{ mx: 1.75, mb: 1, flex: 'none' }}
        type="search"
        placeholder="Find a word in this class"
        value={text}
        onChange={(event) => setText(event.target.value)}
        slotProps={{ htmlInput: { 'aria-label': 'Find a word in this class', maxLength: 200, dir: 'auto' } }}
      />
      {places ? (
        <Box
          component="ul"
          aria-label="Where it was found"
          sx={{ listStyle: 'none', m: 0, px: 1.75, pb: 1, flex: 1, minHeight: 0, overflowY: 'auto', fontSize: 14 }}
        >
          {places.length === 0 && <li>Nothing of that was written, said or shown.</li>}
          {places.map((place) => (
            <li key={placeKey(place)}>
              <Box
                component="button"
                onClick={() =>
                  recorder.seek(
                    recorder.timeOf(place.at),
                    place.board ? { board: place.board, page: place.page } : null,
                  )
                }
                sx={{
                  ...{ display: 'block', width: 1, textAlign: 'start', p: 0.75, border: 0, bgcolor: 'transparent' },
                  ...{ font: 'inherit', color: 'inherit', cursor: 'pointer', '&:hover': { bgcolor: 'veranda.wash' } },
                }}
              >
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  {duration(recorder.timeOf(place.at))} · {KINDS[place.kind]}
                </Box>
                <Box dir="auto" sx={{ overflowWrap: 'anywhere' }}>
                  <Found words={place.words} sought={sought} />
                </Box>
              </Box>
            </li>
          ))}
        </Box>
      ) : (
        children
      )}
    </>
  );
}
