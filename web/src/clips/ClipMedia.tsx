import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import type { Clip } from '../api/shapes';
import { keepInStep } from '../parts/media/inStep';
import { sendTo } from '../stage/devices';

/** ms between two looks at where it should be. */
const EVERY = 100;

export interface ClipAt {
  clip: Clip;
  /** Address of the file. */
  src: string;
  /** Where it stands, whether it moves, and how fast; asked for several times a second. */
  now: () => { at: number; playing: boolean; speed: number };
}

/** A sound or clip, kept where it stands for everybody. Only a picture is to be seen. */
export function ClipMedia({ clip, src, now }: ClipAt) {
  const ref = useRef<HTMLMediaElement>(null);
  const asked = useRef(now);
  const [held, setHeld] = useState(false);
  const [gone, setGone] = useState(false);
  useEffect(() => {
    asked.current = now;
  });
  useEffect(() => {
    const element = ref.current!;
    void sendTo(element);
    const step = () => {
      const { at, playing, speed } = asked.current();
      keepInStep(element, { at: at / 1_000, playing, speed }, () => setHeld(true));
    };
    const timer = setInterval(step, EVERY);
    return () => clearInterval(timer);
  }, [src]);
  const facts = { ref: ref as never, src, preload: 'auto', onError: () => setGone(true), 'data-testid': 'clip' };
  return (
    <Box sx={{ position: 'absolute', inset: 0, display: 'grid', placeItems: 'center' }}>
      {clip.kind === 'clip' ? (
        <Box
          component="video"
          playsInline
          aria-label={clip.title}
          {...facts}
          sx={{ position: 'absolute', width: 1, height: 1, objectFit: 'contain' }}
        />
      ) : (
        <audio {...facts} />
      )}
      {held && (
        <Button
          variant="contained"
          color="primary"
          sx={{ position: 'relative' }}
          onClick={() => {
            setHeld(false);
            void ref.current!.play();
          }}
        >
          Let me hear it
        </Button>
      )}
      {gone && (
        <Box role="alert" sx={{ position: 'relative', p: 1.5, bgcolor: 'background.paper', borderRadius: 1 }}>
          This browser cannot play “{clip.title}”. Ask for it in another format.
        </Box>
      )}
    </Box>
  );
}
