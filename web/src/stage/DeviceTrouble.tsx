import Button from '@mui/material/Button';
import { Line } from '../parts/frame/Line';
import { choose, SIMULATED } from './devices';
import { useStage, useStageState } from './useStage';

/** A device that could not be used, why, and what one can do about it. */
export function DeviceTrouble() {
  const stage = useStage();
  const trouble = useStageState()?.trouble;
  if (!stage || !trouble) return null;
  return (
    <Line label="Your devices" marked says={trouble.says}>
      <Button
        size="small"
        onClick={() => {
          choose(trouble.device, SIMULATED);
          void stage.set(trouble.device, true);
        }}
      >
        Use a simulated one
      </Button>
      <Button size="small" onClick={() => stage.without()}>
        Go on without
      </Button>
    </Line>
  );
}
