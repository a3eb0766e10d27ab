import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { useState } from 'react';
import { useLive, useServerNow } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import { present, type SittingState } from '../../live/sitting';
import { firstName, isStaff } from '../../parts/words/people';
import { seen, signalsFor, signalWord } from '../../parts/words/signals';

interface Props {
  sitting: SittingState;
  place: PlaceState;
  /** The place, and its stream. */
  at: string;
  room: string;
}

/** For staff: how many have given which signal, and who has not. Nothing where there is none. */
export function SignalCount({ sitting, place, at, room }: Props) {
  const live = useLive();
  const now = useServerNow(5_000);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const students = present(sitting).filter((seat) => seat.place === at && !isStaff(seat));
  const given = seen(place.signals, now).filter(({ person }) => students.some(({ id }) => id === person));
  if (given.length === 0) return null;

  const by = signalsFor(false)
    .map((signal) => ({ signal, people: given.filter((row) => row.signal === signal).map(({ person }) => person) }))
    .filter(({ people }) => people.length > 0);
  const rest = students.filter(({ id }) => !given.some(({ person }) => person === id));
  const names = (people: string[]) =>
    students
      .filter(({ id }) => people.includes(id))
      .map(({ name }) => firstName(name))
      .join(', ');
  const words = by.map(({ signal, people }) =>
    signal === 'done' ? `${people.length} of ${students.length} done` : `${people.length} ${signalWord(signal)}`,
  );
  return (
    <>
      <Button
        aria-haspopup="dialog"
        aria-expanded={!!anchor}
        onClick={(event) => setAnchor(event.currentTarget)}
        title={words.join(' · ')}
        sx={{ whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis', display: 'block' }}
      >
        {words.join(' · ')}
      </Button>
      <Popover
        open={!!anchor}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        slotProps={{ paper: { 'aria-label': 'Signals', role: 'dialog' } }}
      >
        <Box sx={{ p: 2, width: 280, display: 'flex', flexDirection: 'column', gap: 1 }}>
          {by.map(({ signal, people }) => (
            <Box key={signal}>
              <strong>{signalWord(signal)}</strong> {names(people)}
            </Box>
          ))}
          {rest.length > 0 && (
            <Box sx={{ color: 'text.secondary' }}>
              <strong>not yet</strong> {names(rest.map(({ id }) => id))}
            </Box>
          )}
          <Button
            onClick={() => {
              setAnchor(null);
              void live.do('class.clear_signals', room, {});
            }}
          >
            Clear the signals
          </Button>
        </Box>
      </Popover>
    </>
  );
}
