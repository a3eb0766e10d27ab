import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import { Line } from '../parts/frame/Line';
import { useDevices } from './check/useDevices';
import { choose, chosen, SIMULATED, type AnyDevice, type Known } from './devices';
import { useStage } from './useStage';

const ALL: readonly AnyDevice[] = ['microphone', 'camera', 'speaker'];

/** Something was plugged in while the class goes on: asked once, quietly, whether it is to be used. */
export function NewDevice() {
  const stage = useStage();
  const plugged = useDevices();
  const known = useRef<Set<string> | null>(null);
  const [found, setFound] = useState<{ device: AnyDevice; one: Known } | null>(null);
  useEffect(() => {
    const now = ALL.flatMap((device) => plugged[device].map((one) => ({ device, one })));
    if (now.length === 0) return;
    const before = known.current;
    known.current = new Set([...(before ?? []), ...now.map(({ one }) => one.id)]);
    // What was there from the beginning is nothing new.
    const fresh = before && now.find(({ one }) => !before.has(one.id));
    if (fresh) setFound(fresh);
  }, [plugged]);
  if (!stage || !found || chosen(found.device) === SIMULATED) return null;
  const { device, one } = found;
  const use = () => {
    choose(device, one.id);
    setFound(null);
    void stage.change(device);
  };
  return (
    <Line label="A new device" says={`A ${device} was plugged in: ${one.name}.`}>
      <Button size="small" onClick={use}>
        Use it
      </Button>
      <Button size="small" onClick={() => setFound(null)}>
        Not now
      </Button>
    </Line>
  );
}
