import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef } from 'react';
import type { RecordingFacts, Track } from '../../api/shapes';
import { keepInStep } from '../../parts/media/inStep';
import type { Recorder } from './Recorder';
import { tracksNow } from './tracks';
import { useTold } from './usePlayback';

/** ms before it is heard that a track is fetched. */
const EARLY = 6_000;

interface Props {
  recorder: Recorder;
  facts: RecordingFacts;
}

interface SeenProps extends Props {
  /** Whether pictures take half of the room. */
  large: boolean;
  onLarge: (large: boolean) => void;
}

/** What was heard and seen at a moment of a recording, in the main room or the one that is watched: pictures in a row, sounds beneath. */
export function TracksThen({ recorder, facts, large, onLarge }: SeenProps) {
  const near = useTold(recorder, () =>
    tracksNow(recorder, facts, EARLY)
      .map(({ id }) => id)
      .join(' '),
  );
  const seen = useTold(recorder, () =>
    tracksNow(recorder, facts)
      .filter(({ kind }) => kind === 'picture')
      .map(({ id }) => id)
      .join(' '),
  ).split(' ');
  const ids = near.split(' ');
  const tracks = facts.tracks.filter(({ id }) => ids.includes(id));
  const name = (person: string) => facts.people.find(({ id }) => id === person)?.name ?? 'Somebody';
  const pictures = tracks.filter(({ kind }) => kind === 'picture');
  return (
    <>
      {tracks
        .filter(({ kind }) => kind === 'sound')
        .map((track) => (
          <TrackThen key={track.id} {...{ recorder, track }} recording={facts.id} />
        ))}
      {pictures.length > 0 && (
        <Box
          component="ul"
          aria-label="Who was seen"
          sx={{
            ...{
              gridArea: 'seen',
              m: 0,
              p: seen[0] ? 1.25 : 0,
              pb: { xs: 0, md: seen[0] ? 1.25 : 0 },
              listStyle: 'none',
            },
            ...{ bgcolor: { md: 'background.paper' }, borderLeft: { md: 1 }, borderColor: { md: 'divider' } },
            ...{
              display: { xs: 'flex', md: 'grid' },
              gridTemplateColumns: seen.length > 1 ? '1fr 1fr' : '1fr',
              gap: 1,
            },
            ...{
              overflowX: { xs: 'auto', md: 'hidden' },
              maxHeight: { md: large ? '70vh' : '56vh' },
              overflowY: { xs: 'hidden', md: 'auto' },
            },
          }}
        >
          {seen[0] && (
            <Box component="li" sx={{ display: { xs: 'none', md: 'block' }, gridColumn: '1 / -1' }}>
              <Button size="small" onClick={() => onLarge(!large)}>
                {large ? 'Smaller pictures' : 'Larger pictures'}
              </Button>
            </Box>
          )}
          {pictures.map((track) => (
            <Box
              key={track.id}
              component="li"
              // One that is not there yet is fetched out of sight.
              sx={{
                ...{
                  position: 'relative',
                  height: { xs: 84, md: 'auto' },
                  aspectRatio: '4 / 3',
                  flex: 'none',
                  borderRadius: 1,
                },
                ...{ overflow: 'hidden', bgcolor: 'veranda.wash', display: seen.includes(track.id) ? 'block' : 'none' },
              }}
            >
              <TrackThen {...{ recorder, track }} recording={facts.id} label={`Picture of ${name(track.person)}`} />
              <Box
                sx={{
                  ...{ position: 'absolute', left: 0, right: 0, bottom: 0, px: 0.75, py: 0.25, fontSize: 12 },
                  ...{ bgcolor: 'rgba(35, 49, 58, 0.78)', color: '#FFFDF9', textOverflow: 'ellipsis' },
                  ...{ overflow: 'hidden', whiteSpace: 'nowrap' },
                }}
              >
                {name(track.person)}
              </Box>
            </Box>
          ))}
        </Box>
      )}
    </>
  );
}

/** The screen that was shared at a moment, while it was in front. */
export function ScreenThen({ recorder, facts, track }: Props & { track: Track }) {
  const name = facts.people.find((one) => one.id === track.person)?.name ?? 'somebody';
  return (
    <Box sx={{ position: 'absolute', inset: 0, bgcolor: 'background.paper' }}>
      <TrackThen key={track.id} {...{ recorder, track }} recording={facts.id} label={`The screen of ${name}`} />
    </Box>
  );
}

interface TrackProps {
  recorder: Recorder;
  recording: string;
  track: Track;
  label?: string;
}

/** A sound or picture, in step with the boards. */
function TrackThen({ recorder, recording, track: { id, kind, from }, label }: TrackProps) {
  const ref = useRef<HTMLMediaElement>(null);
  useEffect(() => {
    const element = ref.current!;
    const step = () =>
      keepInStep(element, {
        at: (recorder.wall - from) / 1_000,
        playing: recorder.playing && !recorder.onItsWay,
        speed: recorder.speed,
      });
    step();
    // What is loaded may come when it is gone from the page.
    element.addEventListener('loadedmetadata', step);
    const leave = recorder.subscribe(step);
    return () => {
      element.removeEventListener('loadedmetadata', step);
      leave();
    };
  }, [recorder, from]);
  const facts = { src: `/api/recordings/${recording}/tracks/${id}`, preload: 'auto', 'data-testid': `track-${kind}` };
  if (kind === 'sound') return <audio ref={ref as React.RefObject<HTMLAudioElement>} {...facts} />;
  return (
    <Box
      component="video"
      ref={ref as React.RefObject<HTMLVideoElement>}
      muted
      playsInline
      aria-label={label}
      {...facts}
      sx={{ width: 1, height: 1, objectFit: kind === 'screen' ? 'contain' : 'cover' }}
    />
  );
}
