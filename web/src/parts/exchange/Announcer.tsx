import Box from '@mui/material/Box';
import visuallyHidden from '@mui/utils/visuallyHidden';
import { useEffect, useRef, useState } from 'react';
import type { PlaceState } from '../../live/place';
import { currentStep, type SittingState } from '../../live/sitting';

interface Props {
  sitting: SittingState;
  place: PlaceState;
  me: string;
}

/**
 * Says politely, for those who listen to the page, what others would see out of the corner of an eye. Posts say themselves: the
 * exchange is a log.
 */
export function Announcer({ sitting, place, me }: Props) {
  const [words, setWords] = useState('');
  const before = useRef({ hands: place.hands, step: currentStep(sitting)?.id });

  useEffect(() => {
    const old = before.current;
    const step = currentStep(sitting);
    const raised = place.hands.find((id) => !old.hands.includes(id) && id !== me);
    if (raised) setWords(`${sitting.seats.find((seat) => seat.id === raised)?.name} raised a hand`);
    else if (step && step.id !== old.step) setWords(`Now: ${step.title}`);
    before.current = { hands: place.hands, step: step?.id };
  }, [sitting, place, me]);

  return (
    <Box aria-live="polite" sx={visuallyHidden}>
      {words}
    </Box>
  );
}
