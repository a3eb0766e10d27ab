import { useLive, useMyPlace, usePlace } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import type { ClassFacts, You } from '../../api/shapes';
import { currentStep, type SittingState } from '../../live/sitting';
import { MAIN, placeStream, sittingStream } from '../../live/streams';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import { Fallible } from '../../parts/frame/Fallible';
import { useShortcuts } from '../../parts/hooks/useShortcuts';
import { Waiting } from '../../parts/frame/Waiting';
import { ClassRibbon } from './ClassRibbon';
import { PlaceView } from './PlaceView';

interface Props {
  sitting: SittingState;
  you: You;
  facts: ClassFacts;
}

/** A class under way: what concerns all of it above, and the place one is in. */
export function Teaching(props: Props) {
  const here = useHere(props.sitting.id);
  return here ? <InPlace {...props} {...here} /> : <Waiting says="Going in" />;
}

/** The place one is in, as far as one knows it: what is begun there is not put away on the way to another. */
function useHere(sitting: string): { at: string; place: PlaceState } | null {
  const at = useMyPlace(sitting) ?? MAIN;
  const place = usePlace(sitting, at);
  const [here, setHere] = useState<{ at: string; place: PlaceState } | null>(null);
  if (place && (here?.place !== place || here.at !== at)) setHere({ at, place });
  return here;
}

/** Staff who look in take no seat, and nobody is told of them; by this they take one. */
function Unseen({ sitting }: { sitting: string }) {
  return (
    <Box
      component="section"
      aria-label="You are unseen"
      sx={{ display: 'flex', alignItems: 'center', gap: 1, px: 2, py: 0.5, bgcolor: 'veranda.wash' }}
    >
      <Box sx={{ flex: 1 }}>You look in unseen: you are not on the bench, and nobody was told.</Box>
      <Button size="small" component={Link} to={`/classes/${sitting}`} replace>
        Take a seat
      </Button>
    </Box>
  );
}

function InPlace({ sitting, you, facts, at, place }: Props & { at: string; place: PlaceState }) {
  const live = useLive();
  const room = placeStream(sitting.id, at);
  const move = (by: number) => {
    const step = currentStep(sitting);
    const next = sitting.steps[(step ? sitting.steps.indexOf(step) : -1) + by];
    if (next) void live.do('class.move', sittingStream(sitting.id), { step: next.id });
  };
  const lend = () =>
    place.hands.length > 0 ? void live.do('class.lend_floor', room, {}) : live.notice('no_hand', 'No hand is up.');
  const hand = () => void live.do(place.hands.includes(you.id) ? 'class.lower_hand' : 'class.raise_hand', room, {});
  useShortcuts({
    h: ['Raise your hand, or take it down', hand],
    ...(you.staff && {
      ']': ['Go on to the next step', () => move(1)],
      '[': ['Go back to the step before', () => move(-1)],
      k: [
        'Keep everyone together, or let them roam',
        () => void live.do('class.keep_together', room, { on: !place.leader }),
      ],
      f: ['Lend the floor to the next hand', lend],
    }),
  });

  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <Fallible what="The run strip">
        <ClassRibbon sitting={sitting} you={you} rehearsal={facts.rehearsal} />
      </Fallible>
      {!sitting.seats.some(({ id, presence }) => id === you.id && presence !== 'left') && (
        <Unseen sitting={sitting.id} />
      )}
      <PlaceView
        sitting={sitting}
        place={place}
        at={at}
        you={you}
        course={facts.course}
        lesson={facts.lesson}
        onHand={hand}
      />
    </Box>
  );
}
