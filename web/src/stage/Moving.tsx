import Box from '@mui/material/Box';
import { useEffect, useRef } from 'react';

interface Props {
  picture: MediaStream;
  /** Whose picture it is. */
  name: string;
  /** Whether it is one's own, which one is used to see as in a mirror. */
  mirrored?: boolean;
  /** Whether all of it is to be seen, and not what fills the room. */
  whole?: boolean;
}

/** A moving picture of somebody, filling what holds it. */
export function Moving({ picture, name, mirrored = false, whole = false }: Props) {
  const ref = useRef<HTMLVideoElement>(null);
  useEffect(() => {
    if (ref.current!.srcObject !== picture) ref.current!.srcObject = picture;
  }, [picture]);
  return (
    <Box
      component="video"
      ref={ref}
      autoPlay
      playsInline
      muted
      aria-label={`Picture of ${name}`}
      sx={{
        width: 1,
        height: 1,
        objectFit: whole ? 'contain' : 'cover',
        borderRadius: 'inherit',
        ...(mirrored && { transform: 'scaleX(-1)' }),
      }}
    />
  );
}
