import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect } from 'react';
import type { Rights, You } from '../api/shapes';
import type { PlaceState } from '../live/place';
import type { BenchForm } from '../screens/class/Bench';
import { firstName } from '../parts/words/people';
import { CheckDevices } from './CheckDevices';
import { DEVICES, type Device } from './devices';
import { canShare } from './screen';
import { MorePictures } from './MorePictures';
import { useScreen } from './useScreen';
import { useTalkKey } from './useTalkKey';
import { useStage, useStageState } from './useStage';

interface Props {
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  you: You;
  rights: Rights | undefined;
  /** How the bench lies: where there is little room they have a line to themselves, and else lie one above the other. */
  form: BenchForm;
}

/** One's own microphone and camera, with what keeps them from being used in words. */
export function StageControls({ place, room, you, rights, form }: Props) {
  const line = form === 'line';
  const stage = useStage();
  const state = useStageState();
  const screen = useScreen(place, room, you);
  const may = (device: Device) => rights?.[DEVICES[device].right];
  const toggle = (device: Device) => {
    if (stage && (state![device] !== 'off' || may(device)?.allowed)) void stage.set(device, state![device] === 'off');
  };
  const lost = (['microphone', 'camera'] as const).filter(
    (device) => state && state[device] !== 'off' && may(device)?.allowed === false,
  );
  const forbidden = lost.join(' ');
  // The server has stopped it by now; what is not sent need not be recorded here either.
  useEffect(() => {
    forbidden.split(' ').forEach((device) => device && void stage?.set(device as Device, false));
  }, [forbidden, stage]);
  const there = state?.up && state.place;
  useTalkKey(stage, Boolean(there && (state.microphone !== 'off' || may('microphone')?.allowed)));
  if (!stage || !state || state.up === null) return null;
  if (!state.up || !state.place)
    return (
      <Box sx={{ fontSize: 13, color: 'text.secondary', alignSelf: 'center', maxWidth: line ? undefined : 170 }}>
        <span role="status">
          {state.says ?? (state.up ? null : 'No sound and picture just now. All else goes on.')}
        </span>
        {state.up && state.says && (
          <Button size="small" onClick={() => stage.takeBack()}>
            Be heard here instead
          </Button>
        )}
      </Box>
    );
  return (
    <Box
      sx={{
        display: line || form === 'few' ? 'flex' : 'grid',
        gridTemplateColumns: 'auto auto',
        gap: 0.75,
        alignItems: 'center',
        ...(line && { flexBasis: '100%', flexWrap: 'wrap', '& > button': { flex: 1 } }),
      }}
    >
      {(['microphone', 'camera'] as const).map((device) => {
        const answer = may(device);
        const on = state[device] !== 'off';
        return (
          <Button
            key={device}
            aria-pressed={on}
            variant={on ? 'contained' : 'outlined'}
            color={on ? 'primary' : 'inherit'}
            disabled={!on && !answer?.allowed}
            title={answer?.says ?? (device === 'microphone' ? 'Hold m to speak, press it twice to stay on' : undefined)}
            onClick={() => toggle(device)}
          >
            {DEVICES[device].words[state[device]]}
          </Button>
        );
      })}
      {canShare() && !line && (
        <Button
          aria-pressed={screen.mine}
          disabled={!screen.mine && !rights?.share?.allowed}
          title={rights?.share?.says ?? undefined}
          onClick={() => void (screen.mine ? screen.end() : screen.share())}
        >
          {screen.mine ? 'End the share' : 'Share'}
        </Button>
      )}
      <CheckDevices>Devices</CheckDevices>
      <MorePictures me={you.id} />
      {state.again && (
        <Box
          role="status"
          sx={{ fontSize: 13, color: 'text.secondary', ...(line ? { flexBasis: '100%' } : { maxWidth: 150 }) }}
        >
          Sound and picture come back in a moment.
        </Box>
      )}
      {state.link !== 'good' && !state.soundOnly && (
        <Box
          role="status"
          sx={{ fontSize: 13, color: 'text.secondary', ...(line ? { flexBasis: '100%' } : { maxWidth: 150 }) }}
        >
          {state.link === 'weak' ? 'Weak connection: fewer pictures.' : 'Poor connection: sound first.'}
        </Box>
      )}
      {state.held && (
        <Button
          variant="contained"
          onClick={() => stage.release()}
          sx={line ? { '&&': { flex: '1 0 100%' } } : undefined}
        >
          Let me hear the class
        </Button>
      )}
      {state.muted && state.microphone === 'off' && (
        <Box
          role="status"
          sx={{ fontSize: 13, color: 'text.secondary', ...(line ? { flexBasis: '100%' } : { maxWidth: 150 }) }}
        >
          {firstName(state.muted)} muted you.
        </Box>
      )}
    </Box>
  );
}
