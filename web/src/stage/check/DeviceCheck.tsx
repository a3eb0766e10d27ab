import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import Switch from '@mui/material/Switch';
import { useCallback, useEffect, useState, type ReactNode } from 'react';
import { choose, chosen, choosesSpeaker, open, SIMULATED, troubleWith, type AnyDevice, type Device } from '../devices';
import { Moving } from '../Moving';
import { SOUND_ONLY } from '../Stage';
import { useStage } from '../useStage';
import type { Made } from '../simulated';
import { Choice } from './Choice';
import { Meter } from './Meter';
import { testSound } from './testSound';
import { useDevices } from './useDevices';

interface Props {
  /** Of whoever looks, for what is simulated. */
  name: string;
  /** Another device was chosen. */
  onChosen?: (device: AnyDevice) => void;
  onClose: () => void;
}

/** Whether one will be heard and seen, and hears: found out before it matters. Nothing of it leaves this machine, and all of it can be left out. */
export function DeviceCheck({ name, onChosen, onClose }: Props) {
  const [tried, setTried] = useState(0);
  // Names are told once something may be used.
  const plugged = useDevices(tried);
  const pick = (device: AnyDevice) => (id: string | null) => {
    choose(device, id);
    setTried((times) => times + 1);
    onChosen?.(device);
  };
  const opened = useCallback(() => setTried((times) => times + 1), []);
  return (
    <Dialog open onClose={onClose} aria-labelledby="device-check" maxWidth="sm" fullWidth>
      <DialogContent>
        <Box component="h2" id="device-check" sx={{ mt: 0, mb: 0.5, typography: 'h2' }}>
          Will you be heard and seen?
        </Box>
        <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
          Nobody hears or sees any of this. You can do without all of it.
        </Box>
        <Part title="Microphone">
          <Trying device="microphone" {...{ name, opened }}>
            {(made) => <Meter track={made.track} />}
          </Trying>
          <Choice device="microphone" known={plugged.microphone} onChoose={pick('microphone')} />
        </Part>
        <Part title="Camera">
          <Trying device="camera" {...{ name, opened }}>
            {(made) => <Preview made={made} />}
          </Trying>
          <Choice device="camera" known={plugged.camera} onChoose={pick('camera')} />
        </Part>
        <Part title="Speaker">
          <Hear key={chosen('speaker')} />
          {choosesSpeaker() && <Choice device="speaker" known={plugged.speaker} onChoose={pick('speaker')} />}
        </Part>
        <Part title="Weak connection">
          <SoundOnly />
        </Part>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Put away</Button>
      </DialogActions>
    </Dialog>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{ mt: 1.5, pt: 1.25, borderTop: 1, borderColor: 'divider', display: 'grid', gap: 1.5 }}
    >
      <Box component="h3" sx={{ m: 0, typography: 'h3' }}>
        {title}
      </Box>
      {children}
    </Box>
  );
}

interface TryingProps {
  device: Device;
  name: string;
  /** It may be used, as one now knows. */
  opened: () => void;
  children: (made: Made) => ReactNode;
}

/** A device that one tries, once one wishes to; opened anew when another was chosen. */
function Trying({ device, name, opened, children }: TryingProps) {
  const [wanted, setWanted] = useState(false);
  const [made, setMade] = useState<Made | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const id = chosen(device);
  useEffect(() => {
    if (!wanted) return;
    let mine: Made | null = null;
    let here = true;
    open(device, name).then(
      (found) => {
        if (!here) return found.stop();
        mine = found;
        setTrouble(null);
        setMade(found);
        opened();
      },
      (error: unknown) => here && setTrouble(troubleWith(device, error)),
    );
    return () => {
      here = false;
      mine?.stop();
      setMade(null);
    };
  }, [wanted, device, name, id, opened]);
  if (trouble) return <Box role="alert">{trouble}</Box>;
  if (made) return children(made);
  if (wanted) return <Box role="status">One moment …</Box>;
  return (
    <Box>
      <Button onClick={() => setWanted(true)}>Try the {device}</Button>
    </Box>
  );
}

function Preview({ made }: { made: Made }) {
  const [picture] = useState(() => new MediaStream([made.track]));
  return (
    <Box sx={{ width: 240, maxWidth: 1, aspectRatio: '4 / 3', borderRadius: 1, overflow: 'hidden' }}>
      <Moving picture={picture} name="yourself" mirrored={chosen('camera') !== SIMULATED} />
    </Box>
  );
}

/** Whether pictures of others come at all; on a weak connection sound has all of it then. */
function SoundOnly() {
  const stage = useStage();
  const [on, setOn] = useState(() => localStorage.getItem(SOUND_ONLY) !== null);
  const set = (wish: boolean) => {
    if (wish) localStorage.setItem(SOUND_ONLY, 'yes');
    else localStorage.removeItem(SOUND_ONLY);
    setOn(wish);
    stage?.hearOnly(wish);
  };
  return (
    <Box component="label" sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
      <Box sx={{ flex: 1 }}>Sound only: no pictures are sent to me</Box>
      <Switch checked={on} onChange={(_, wish) => set(wish)} />
    </Box>
  );
}

/** A test sound, and what to do when it is not heard. */
function Hear() {
  const [state, setState] = useState<'before' | 'plays' | 'asked' | 'heard' | 'not'>('before');
  const play = () => {
    setState('plays');
    void testSound().then(
      () => setState('asked'),
      () => setState('not'),
    );
  };
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1 }}>
      <Button disabled={state === 'plays'} onClick={play}>
        Play three notes
      </Button>
      {state === 'asked' && (
        <>
          <span>Did you hear them?</span>
          <Button onClick={() => setState('heard')}>Yes</Button>
          <Button onClick={() => setState('not')}>No</Button>
        </>
      )}
      <Box role="status" sx={{ flex: '1 1 200px' }}>
        {state === 'plays' && 'They play now.'}
        {state === 'heard' && 'Then you hear the class too.'}
        {state === 'not' &&
          'Turn the sound of this device up, see whether it is muted, or choose another speaker. Then play them again.'}
      </Box>
    </Box>
  );
}
