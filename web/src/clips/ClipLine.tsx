import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { useState } from 'react';
import type { You } from '../api/shapes';
import { showMoment } from '../board/showMoment';
import { useLive, useServerNow } from '../live/hooks';
import { clipPosition, type PlaceState } from '../live/place';
import { Line } from '../parts/frame/Line';
import { useShortcuts } from '../parts/hooks/useShortcuts';
import { duration } from '../parts/words/times';
import { momentOfClip } from './momentOfClip';
import { clipFile, plays, SPEEDS, useClip, type Speed } from './useClip';

/** ms of the shortest stretch that is played again and again. */
const SHORTEST = 500;

interface Props {
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  you: You;
  course: string;
  lesson: string;
}

/** Above the paper: what plays for everybody, and for staff how they play it. */
export function ClipLine({ place, room, you, course, lesson }: Props) {
  const live = useLive();
  const { clip, now, set, toggle } = useClip(place, room);
  const moment = useServerNow(clip ? 250 : 3_600_000);
  const [dragged, setDragged] = useState<number | null>(null);
  const [drawing, setDrawing] = useState(false);
  const [from, setFrom] = useState<number | null>(null);
  useShortcuts(clip && you.staff ? { p: ['Play the clip for everyone, or hold it', toggle] } : {});
  if (!clip) return null;
  const at = dragged ?? clipPosition(clip, moment);
  const moves = plays(clip, at);
  const says = `“${clip.title}” ${moves ? 'plays' : 'is held'} for everyone.`;
  if (!you.staff) return <Line label="A clip" says={says} />;
  const loop = () => {
    if (clip.loop) return set({ loop: null });
    if (from === null) return setFrom(now());
    const stretch: [number, number] = [Math.min(from, now()), Math.max(from, now())];
    setFrom(null);
    if (stretch[1] - stretch[0] >= SHORTEST) set({ loop: stretch, at: stretch[0] });
  };
  const draw = async () => {
    const held = now();
    setDrawing(true);
    set({ playing: false });
    await showMoment(live, {
      ...{ room, course, lesson, name: `${clip.title.slice(0, 60)}, ${duration(held)}`, label: 'from a clip' },
      moment: () => momentOfClip(clipFile(clip, room), held),
    }).catch((error: Error) => live.notice('clip', error.message));
    setDrawing(false);
  };
  return (
    <Line label="A clip" marked says={says}>
      <Box sx={{ flex: '1 1 100%', display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap', pb: 0.5 }}>
        <Button size="small" title="Key: p" onClick={toggle} sx={{ minWidth: 64 }}>
          {moves ? 'Hold' : 'Play'}
        </Button>
        <Slider
          size="small"
          aria-label={`Where “${clip.title}” stands`}
          value={at}
          max={clip.length}
          step={100}
          valueLabelDisplay="auto"
          valueLabelFormat={duration}
          getAriaValueText={(value) => duration(value)}
          onChange={(_, value) => setDragged(value as number)}
          onChangeCommitted={(_, value) => {
            setDragged(null);
            set({ at: value as number });
          }}
          sx={{ flex: '1 1 140px', mx: 1 }}
        />
        <Box sx={{ fontSize: 13, fontVariantNumeric: 'tabular-nums' }}>
          {duration(at)} of {duration(clip.length)}
        </Box>
        <Button
          size="small"
          title="Speed"
          onClick={() => set({ speed: SPEEDS[(SPEEDS.indexOf(clip.speed as Speed) + 1) % SPEEDS.length]! })}
        >
          {clip.speed} ×
        </Button>
        <Button size="small" aria-pressed={clip.loop !== null} onClick={loop}>
          {clip.loop ? 'Play on' : from === null ? 'Again from here' : '… to here'}
        </Button>
        {clip.kind === 'clip' && (
          <Button size="small" disabled={drawing} onClick={() => void draw()}>
            {drawing ? 'One moment …' : 'Draw on this moment'}
          </Button>
        )}
        <Button size="small" onClick={() => set({ off: true })}>
          End it
        </Button>
      </Box>
    </Line>
  );
}
