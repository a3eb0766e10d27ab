import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { RecordingFacts, RecordingHappened } from '../../api/shapes';
import { exchangeStream } from '../../live/streams';
import { ExchangeThen } from './ExchangeThen';
import { FindThen } from './FindThen';
import type { Recorder } from './Recorder';
import { Transcript } from './Transcript';
import type { useCaptions } from './useCaptions';
import type { useNotes } from './useNotes';
import { YoursThen } from './YoursThen';

interface Props {
  recorder: Recorder;
  facts: RecordingFacts;
  /** Which place is watched. */
  at: string;
  captions: ReturnType<typeof useCaptions>;
  own: RecordingHappened['own'];
  notes: ReturnType<typeof useNotes>;
}

const SIDES = { exchange: 'Exchange', transcript: 'What was said', yours: 'Yours' } as const;

/** Beside the board: what was written up to now, or what was said, in writing. */
export function WordsThen({ recorder, facts, at, captions, own, notes }: Props) {
  const [side, setSide] = useState<keyof typeof SIDES>('exchange');
  const sides = (Object.keys(SIDES) as (keyof typeof SIDES)[]).filter(
    (one) =>
      (one !== 'transcript' || captions.lines.length > 0 || facts.staff) && (one !== 'yours' || facts.you !== null),
  );
  return (
    <Box
      component="aside"
      aria-label={SIDES[side]}
      sx={{
        gridArea: 'words',
        minHeight: 0,
        bgcolor: 'background.paper',
        borderStyle: 'solid',
        borderWidth: { xs: '1px 0 0', md: '0 0 0 1px' },
        borderColor: 'divider',
        display: 'flex',
        flexDirection: 'column',
      }}
    >
      <Box sx={{ display: { xs: sides.length > 1 ? 'none' : 'block', md: 'block' }, p: 1.75, pb: 1 }}>
        <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
          {side === 'exchange' ? 'Exchange at this moment' : SIDES[side]}
        </Box>
      </Box>
      {sides.length > 1 && (
        <Box sx={{ display: 'flex', gap: 0.5, px: 1.75, pb: 1, pt: { xs: 1, md: 0 } }}>
          {sides.map((one) => (
            <Button key={one} size="small" aria-pressed={one === side} onClick={() => setSide(one)}>
              {SIDES[one]}
            </Button>
          ))}
        </Box>
      )}
      {side === 'yours' ? (
        <YoursThen {...{ recorder, own, notes }} />
      ) : (
        <FindThen recorder={recorder} recording={facts.id}>
          {side === 'exchange' ? (
            <ExchangeThen recorder={recorder} stream={exchangeStream(facts.id, at)} />
          ) : (
            <Transcript {...{ recorder, facts, captions }} />
          )}
        </FindThen>
      )}
    </Box>
  );
}
