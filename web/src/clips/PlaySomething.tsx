import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import type { PlaceState } from '../live/place';
import { Waiting } from '../parts/frame/Waiting';
import { Thumb } from '../shelf/Thumb';
import { useClip } from './useClip';
import { lengthOf, useClips } from './useClips';

interface Props {
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  course: string;
}

/** For staff: a sound or clip of the shelf that plays at the same moment for everyone. */
export function PlaySomething({ place, room, course }: Props) {
  const [choosing, setChoosing] = useState(false);
  const { put, rooms } = useClip(place, room);
  const [everywhere, setEverywhere] = useState(true);
  return (
    <>
      <Button onClick={() => setChoosing(true)} sx={{ width: 1 }}>
        Play a clip for everyone
      </Button>
      {choosing && (
        <Dialog open onClose={() => setChoosing(false)} aria-labelledby="play-something" maxWidth="xs" fullWidth>
          <DialogContent>
            <Box component="h2" id="play-something" sx={{ mt: 0, mb: 1, typography: 'h2' }}>
              Play for everyone
            </Box>
            {rooms && (
              <FormControlLabel
                sx={{ mb: 1 }}
                control={<Checkbox checked={everywhere} onChange={(_, on) => setEverywhere(on)} />}
                label="In every room too"
              />
            )}
            <Clips
              course={course}
              onChoose={(id) => {
                setChoosing(false);
                put(id, rooms && everywhere);
              }}
            />
          </DialogContent>
          <DialogActions>
            <Button onClick={() => setChoosing(false)}>Put away</Button>
          </DialogActions>
        </Dialog>
      )}
    </>
  );
}

function Clips({ course, onChoose }: { course: string; onChoose: (id: string) => void }) {
  const clips = useClips(course);
  if (!clips) return <Waiting />;
  if (clips.length === 0) return <Box>No sound, clip or link is on the shelf yet.</Box>;
  return (
    <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1 }}>
      {clips.map((material) => (
        <li key={material.id}>
          <Button
            onClick={() => onChoose(material.id)}
            sx={{ width: 1, gap: 1.5, justifyContent: 'flex-start', textAlign: 'left' }}
          >
            <Thumb material={material} />
            <Box>
              <Box dir="auto">{material.title}</Box>
              <Box sx={{ fontWeight: 400, fontSize: 13 }}>{lengthOf(material)}</Box>
            </Box>
          </Button>
        </li>
      ))}
    </Box>
  );
}
