import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useLive } from '../../live/hooks';

const TRIPS = 12;
/** ms there and back up to which strokes of others come as they are drawn, and up to which one can still teach. */
const GOOD = 150;
const FAIR = 500;

/** @returns what to make of a trial of the connection, in words */
export function connectionWords(trips: (number | null)[]): string {
  const back = trips.filter((trip) => trip !== null).sort((a, b) => a - b);
  const lost = trips.length - back.length;
  if (back.length === 0) return 'Nothing came back. Is the network there?';
  const usual = back[Math.floor(back.length / 2)]!;
  const verdict =
    lost > trips.length / 10 || usual > FAIR
      ? 'Poor: sound and drawing will lag. Try a cable, or another network'
      : lost > 0 || usual > GOOD
        ? 'Fair: it will do, with some delay'
        : 'Good';
  return `${verdict}. ${Math.max(1, Math.round(usual))} ms there and back, ${lost === 0 ? 'nothing' : `${lost} of ${trips.length}`} lost.`;
}

/** Tries the connection to the server, and says what to make of it. */
export function Connection() {
  const live = useLive();
  const [says, setSays] = useState<string | null>(null);
  const [trying, setTrying] = useState(false);
  const attempt = async () => {
    setTrying(true);
    setSays(connectionWords(await live.roundTrips(TRIPS)));
    setTrying(false);
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1 }}>
      <Box role="status" sx={{ flex: 1, minWidth: 200 }}>
        {trying ? 'Trying it …' : (says ?? 'Connection: not tried yet.')}
      </Box>
      <Button disabled={trying} onClick={() => void attempt()}>
        Try the connection
      </Button>
    </Box>
  );
}
