import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { RecordingFacts } from '../../api/shapes';
import { exchangeStream } from '../../live/streams';
import { ExchangeThen } from './ExchangeThen';
import { FindThen } from './FindThen';
import type { Recorder } from './Recorder';
import { Transcript } from './Transcript';
import type { useCaptions } from './useCaptions';

interface Props {
  recorder: Recorder;
  facts: RecordingFacts;
  /** Which place is watched. */
  at: string;
  captions: ReturnType<typeof useCaptions>;
}

const SIDES = { exchange: 'Exchange at this moment', transcript: 'What was said' } as const;

/** Beside the board: what was written up to now, or what was said, in writing. */
export function WordsThen({ recorder, facts, at, captions }: Props) {
  const [side, setSide] = useState<keyof typeof SIDES>('exchange');
  const both = captions.lines.length > 0 || facts.staff;
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
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5, p: 1.75, pb: 1 }}>
        <Box component="h2" sx={{ m: 0, flex: 1, typography: 'h2' }}>
          {SIDES[side]}
        </Box>
        {both && (
          <Button size="small" onClick={() => setSide(side === 'exchange' ? 'transcript' : 'exchange')}>
            {side === 'exchange' ? 'What was said' : 'Exchange'}
          </Button>
        )}
      </Box>
      <FindThen recorder={recorder} recording={facts.id}>
        {side === 'exchange' ? (
          <ExchangeThen recorder={recorder} stream={exchangeStream(facts.id, at)} />
        ) : (
          <Transcript {...{ recorder, facts, captions }} />
        )}
      </FindThen>
    </Box>
  );
}
