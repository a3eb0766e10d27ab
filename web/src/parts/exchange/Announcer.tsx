import Box from '@mui/material/Box';
import visuallyHidden from '@mui/utils/visuallyHidden';
import { useEffect, useRef, useState } from 'react';
import type { You } from '../../api/shapes';
import { withFloor, type PlaceState } from '../../live/place';
import { currentStep, type SittingState } from '../../live/sitting';
import { floorWords } from '../words/floor';
import { isStaff } from '../words/people';
import { signalWord } from '../words/signals';

interface Props {
  sitting: SittingState;
  place: PlaceState;
  you: You;
}

/** What is worth a word once it is different. */
interface Seen {
  step?: string;
  floor: string[];
  oversight: boolean;
  hands: string[];
  signals: PlaceState['signals'];
}

/**
 * Says politely, for those who listen to the page, what others would see out of the corner of an eye: each thing once. Posts say
 * themselves: the exchange is a log.
 */
export function Announcer({ sitting, place, you }: Props) {
  const [words, setWords] = useState('');
  const before = useRef<Seen>(seenOf(sitting, place));

  useEffect(() => {
    const now = seenOf(sitting, place);
    const said = wordsFor(before.current, now, sitting, you);
    if (said) setWords(said);
    before.current = now;
  }, [sitting, place, you]);

  return (
    <Box aria-live="polite" data-testid="announcer" sx={visuallyHidden}>
      {words}
    </Box>
  );
}

const seenOf = (sitting: SittingState, place: PlaceState): Seen => ({
  step: currentStep(sitting)?.id,
  floor: withFloor(place),
  oversight: place.oversight,
  hands: place.hands,
  signals: place.signals,
});

function wordsFor(old: Seen, now: Seen, sitting: SittingState, you: You): string | undefined {
  const seat = (id: string) => sitting.seats.find((one) => one.id === id);
  const name = (id: string) => seat(id)?.name ?? 'Somebody';
  if (now.floor.join() !== old.floor.join()) {
    if (now.floor.length === 0) return 'The floor is back';
    return floorWords(now.floor.includes(you.id), now.floor.filter((id) => id !== you.id).map(name));
  }
  if (now.oversight !== old.oversight)
    return now.oversight
      ? 'Staff read along in what is written from now on'
      : 'Staff no longer read along in what begins from now on';
  const raised = now.hands.find((id) => !old.hands.includes(id) && id !== you.id);
  if (raised) return `${name(raised)} raised a hand`;
  if (now.step && now.step !== old.step) return `Now: ${currentStep(sitting)!.title}`;
  // Students hear what staff signal; staff hear everyone.
  const signalled = now.signals.find(
    (row) => !old.signals.includes(row) && row.person !== you.id && (you.staff || isStaff(seat(row.person) ?? you)),
  );
  return signalled && `${name(signalled.person)}: ${signalWord(signalled.signal)}`;
}
