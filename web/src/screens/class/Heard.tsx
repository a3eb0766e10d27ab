import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import { useState } from 'react';
import { useLive, useServerNow } from '../../live/hooks';
import type { SittingState } from '../../live/sitting';
import { placeStream } from '../../live/streams';
import { firstName } from '../../parts/words/people';
import { HEARD_EVERY, heardWords, useHeard } from './useHeard';

interface Props {
  sitting: SittingState;
  /** The place that they are in. */
  at: string;
  onClose: () => void;
}

/** For staff: who was heard least and longest ago, first, and how evenly the class is heard. */
export function Heard({ sitting, at, onClose }: Props) {
  const live = useLive();
  const now = useServerNow(HEARD_EVERY);
  const [over, setOver] = useState<'class' | 'course'>('class');
  const data = useHeard(sitting.id, at, true, over);
  const name = (person: string) => sitting.seats.find(({ id }) => id === person)?.name ?? 'Somebody';
  return (
    <Dialog open onClose={onClose} aria-labelledby="heard" maxWidth="sm" fullWidth>
      <DialogContent>
        <Box component="h2" id="heard" sx={{ mt: 0, mb: 0.5, typography: 'h2' }}>
          Who has not been heard
        </Box>
        <Box role="group" aria-label="Counted over" sx={{ display: 'flex', gap: 1, mb: 1 }}>
          {(['class', 'course'] as const).map((what) => (
            <Button
              key={what}
              size="small"
              variant={over === what ? 'contained' : 'outlined'}
              color={over === what ? 'primary' : 'inherit'}
              aria-pressed={over === what}
              onClick={() => setOver(what)}
            >
              {what === 'class' ? 'In this class' : 'In the whole course'}
            </Button>
          ))}
        </Box>
        <Box sx={{ color: 'text.secondary', mb: 1.5 }}>{data ? evenness(data.gini) : 'Counting'}</Box>
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {data?.people.map((row) => (
            <Box
              component="li"
              key={row.person}
              sx={{ display: 'flex', alignItems: 'center', gap: 1, py: 0.5, borderTop: 1, borderColor: 'divider' }}
            >
              <Box sx={{ flex: 1, minWidth: 0 }}>
                <strong>{name(row.person)}</strong>
                <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{heardWords(row, now)}</Box>
              </Box>
              <Button
                onClick={() => {
                  onClose();
                  void live.do('class.lend_floor', placeStream(sitting.id, at), { person: row.person });
                }}
              >
                Lend {firstName(name(row.person))} the floor
              </Button>
            </Box>
          ))}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Put away</Button>
      </DialogActions>
    </Dialog>
  );
}

/** The fairness figure in words, with the figure. */
function evenness(gini: number | null): string {
  if (gini === null) return 'Nobody has done anything that counts yet.';
  const words =
    gini < 0.25
      ? 'All are heard about alike'
      : gini < 0.5
        ? 'Some are heard more than others'
        : 'A few do most of what is done';
  return `${words} (${gini.toFixed(2)}, where 0 is all alike and 1 is one alone).`;
}
