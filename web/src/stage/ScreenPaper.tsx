import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { You } from '../api/shapes';
import type { PlaceState } from '../live/place';
import { Line } from '../parts/frame/Line';
import { firstName } from '../parts/words/people';
import { Moving } from './Moving';
import { useScreen } from './useScreen';

interface Props {
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  you: You;
  course: string;
  lesson: string;
  /** Whether one looks at the board meanwhile. */
  aside: boolean;
  onAside: (aside: boolean) => void;
}

/** Above the paper: whose screen is shared, and what one may do about it. */
export function ScreenLine({ place, room, you, course, lesson, aside, onAside }: Props) {
  const { screen, mine, picture, end, pause, draw } = useScreen(place, room, you);
  const [drawing, setDrawing] = useState(false);
  if (!screen) return null;
  const track = picture?.getVideoTracks()[0];
  const keep = async () => {
    setDrawing(true);
    await draw(course, lesson, track!);
    setDrawing(false);
  };
  return (
    <Line
      label="A shared screen"
      marked
      says={`${mine ? 'You share' : `${firstName(screen.name)} shares`} a screen${screen.paused ? ', paused' : ''}.`}
    >
      {screen.front ? (
        <Button size="small" onClick={() => onAside(!aside)}>
          {aside ? 'Look at the screen' : 'Look at the board'}
        </Button>
      ) : (
        (mine || you.staff) && (
          <Button size="small" onClick={() => void pause(screen.paused)}>
            Bring it in front again
          </Button>
        )
      )}
      {mine && (
        <Button size="small" onClick={() => void pause(!screen.paused)}>
          {screen.paused ? 'Go on' : 'Pause'}
        </Button>
      )}
      {you.staff && screen.front && (
        <Button size="small" disabled={!track || drawing} onClick={() => void keep()}>
          {drawing ? 'One moment …' : 'Draw on this moment'}
        </Button>
      )}
      {(mine || you.staff) && (
        <Button size="small" onClick={() => void end()}>
          {mine ? 'End the share' : 'End it'}
        </Button>
      )}
    </Line>
  );
}

/** A shared screen in place of the board. */
export function ScreenPaper({ place, room, you }: Pick<Props, 'place' | 'room' | 'you'>) {
  const { screen, picture } = useScreen(place, room, you);
  if (!screen) return null;
  return (
    <Box
      sx={{
        ...{ flex: 1, minHeight: 0, position: 'relative', display: 'grid', placeItems: 'center', overflow: 'hidden' },
        ...{ border: 1, borderColor: 'divider', borderRadius: 1, bgcolor: 'background.paper' },
      }}
    >
      {picture ? (
        <Box sx={{ position: 'absolute', inset: 0 }}>
          <Moving picture={picture} name={`the screen of ${screen.name}`} whole />
        </Box>
      ) : (
        <Box role="status" sx={{ p: 2, textAlign: 'center' }}>
          The screen of {firstName(screen.name)} does not come through just now. The board is still there.
        </Box>
      )}
    </Box>
  );
}
