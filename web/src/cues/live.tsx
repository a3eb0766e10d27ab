import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { Cue } from '../api/shapes';
import type { PlaceState } from '../live/place';
import type { StaffState } from '../live/staff';
import { isRecording, type SittingState } from '../live/sitting';

interface LiveProps {
  cue: Cue;
  sitting: SittingState;
  place: PlaceState;
  staff: StaffState;
}

/** What each kind of cue has come to, once it was fired: a word, or a card of its own in the same place. */
export const CUE_LIVE: Record<Cue['kind'], (props: LiveProps) => ReactNode> = {
  timer: ({ cue, place }) =>
    place.timer && (place.timer.label ?? null) === (cue.label ?? null) ? <Told>runs</Told> : <Told>done</Told>,
  show: ({ cue, place }) => <Told>{place.shown?.board === cue.board ? 'on show' : 'done'}</Told>,
  hand_out: ({ cue, sitting }) => <Told>{sitting.handed.includes(cue.board ?? '') ? 'out' : 'done'}</Told>,
  pairs: ({ place }) => <Told>{place.pairs ? 'at work' : 'done'}</Told>,
  rooms: ({ cue, staff }) => {
    const activity = staff.activities.findLast((one) => one.cue === cue.id);
    if (activity?.state === 'dealt') return <Told>dealt: open</Told>;
    return <Told>{activity?.state === 'open' ? 'open' : 'done'}</Told>;
  },
  // A poll has a card of its own.
  poll: () => null,
  set: () => null,
  clip: ({ cue, place }) => <Told>{place.clip && place.clip.material === cue.material ? 'on' : 'done'}</Told>,
  record: ({ sitting }) => <Told>{isRecording(sitting) ? 'runs' : 'done'}</Told>,
};

function Told({ children }: { children: ReactNode }) {
  return (
    <Box component="span" sx={{ ml: 'auto', pl: 1, fontWeight: 400 }}>
      {children}
    </Box>
  );
}
