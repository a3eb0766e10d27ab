import Box from '@mui/material/Box';
import { useEffect, useRef, useState } from 'react';
import type { ExchangeState } from '../live/exchange';
import { currentStep, type SittingState } from '../live/sitting';

interface Props {
  sitting: SittingState;
  exchange: ExchangeState | undefined;
  me: string;
}

/** Says politely, for those who listen to the page, what others would see out of the corner of an eye. */
export function Announcer({ sitting, exchange, me }: Props) {
  const [words, setWords] = useState('');
  const before = useRef({ hands: sitting.hands, step: currentStep(sitting)?.id, posts: exchange?.posts.length ?? 0 });

  useEffect(() => {
    const old = before.current;
    const step = currentStep(sitting);
    const raised = sitting.hands.find((id) => !old.hands.includes(id) && id !== me);
    const post = (exchange?.posts.length ?? 0) > old.posts ? exchange!.posts.at(-1) : undefined;
    if (raised) setWords(`${sitting.seats.find((seat) => seat.id === raised)?.name} raised a hand`);
    else if (step && step.id !== old.step) setWords(`Now: ${step.title}`);
    else if (post && post.by !== me && post.text) setWords(`${post.name}: ${post.text}`);
    before.current = { hands: sitting.hands, step: step?.id, posts: exchange?.posts.length ?? 0 };
  }, [sitting, exchange, me]);

  return (
    <Box
      aria-live="polite"
      sx={{
        position: 'absolute',
        width: 1,
        height: 1,
        overflow: 'hidden',
        clipPath: 'inset(50%)',
        maxWidth: '1px',
        maxHeight: '1px',
      }}
    >
      {words}
    </Box>
  );
}
