import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { lazy, Suspense, useState } from 'react';
import { useLive } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';
import type { Seat, You } from '../../api/shapes';
import { firstName, isStaff } from '../../parts/words/people';
import { count } from '../../parts/words/times';
import { useShortcuts } from '../../parts/hooks/useShortcuts';
import { ArrangeBench } from './ArrangeBench';
import type { Arrangement } from './arranging';
import { SignalCount } from './SignalCount';
import { useMySignal } from './useMySignal';

const Heard = lazy(() => import('./Heard').then(({ Heard }) => ({ default: Heard })));

interface Props {
  sitting: SittingState;
  place: PlaceState;
  /** The place, and its stream. */
  at: string;
  room: string;
  you: You;
  oneLine: boolean;
  arrangement: Arrangement;
  onArrange: (arrangement: Arrangement) => void;
  /** As the bench has them. */
  seats: Seat[];
}

/** For staff: how many hands are up and what is signalled, with what one does about the first hand. */
export function Hands({ sitting, place, at, room, you, oneLine, arrangement, onArrange, seats }: Props) {
  const live = useLive();
  useMySignal(place, room, you);
  const [asking, setAsking] = useState(false);
  useShortcuts({ q: ['Who has not been heard', () => setAsking(true)] });
  // On a bench that begins with who was heard least, so do the hands.
  const next = arrangement.order === 'heard' ? seats.find(({ id }) => place.hands.includes(id))?.id : place.hands[0];
  const first = sitting.seats.find((seat) => seat.id === next);
  const name = first && firstName(first.name);
  const heard = first && (
    <>
      {!isStaff(first) && (
        <Button
          title="Key: f"
          onClick={() => void live.do('class.lend_floor', room, { person: first.id })}
          sx={{ flex: 1, minWidth: 0, px: 0.75, whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis' }}
        >
          Floor to {name}
        </Button>
      )}
      <Button
        aria-label={`${name} was heard`}
        onClick={() => void live.do('class.lower_hand', room, { person: first.id })}
        sx={{ flex: 'none', px: 0.75 }}
      >
        Was heard
      </Button>
    </>
  );
  const signals = <SignalCount sitting={sitting} place={place} at={at} room={room} />;
  const order = sitting.seats.length > 3 && <ArrangeBench arrangement={arrangement} onArrange={onArrange} />;
  const signalled = place.signals.length > 0;
  const quiet = (
    <>
      <Button title="Who has not been heard, key: q" onClick={() => setAsking(true)} sx={{ flex: 'none' }}>
        Quiet
      </Button>
      {asking && (
        <Suspense fallback={null}>
          <Heard sitting={sitting} at={at} onClose={() => setAsking(false)} />
        </Suspense>
      )}
    </>
  );
  if (oneLine)
    return (
      <>
        {signals}
        {quiet}
        {/* A phone has no room for it. */}
        <Box sx={{ display: { xs: 'none', sm: 'flex' } }}>{order}</Box>
        {heard ?? <Box sx={{ fontSize: 14, whiteSpace: 'nowrap', alignSelf: 'center' }}>No hand is up</Box>}
      </>
    );
  return (
    <Box sx={{ width: 300, display: 'flex', flexDirection: 'column', gap: 0.75 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
        <Box sx={{ flex: 1, minWidth: 0, display: 'grid' }}>
          {signals}
          {!signalled && (first ? `${count(place.hands.length, 'hand')} up` : 'No hand is up.')}
        </Box>
        {quiet}
      </Box>
      {(heard || order) && (
        <Box sx={{ display: 'flex', gap: 0.75 }}>
          {heard}
          {order}
        </Box>
      )}
    </Box>
  );
}
