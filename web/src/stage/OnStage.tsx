import { useEffect, useState, type ReactNode } from 'react';
import { useLive } from '../live/hooks';
import { Hearing } from './Hearing';
import { Stage } from './Stage';
import { StageContext } from './useStage';

/** Gives a class sound and picture for as long as it is on the screen. */
export function OnStage({ name, children }: { name: string; children: ReactNode }) {
  const live = useLive();
  const [stage, setStage] = useState<Stage | null>(null);
  useEffect(() => {
    // Old browsers, and those whose owners forbid it, have a class without.
    if (typeof RTCPeerConnection === 'undefined') return;
    const made = new Stage(live, name);
    // Connections are of the outside world: they are made here, and closed when the class goes.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setStage(made);
    return () => made.close();
  }, [live, name]);
  return (
    <StageContext value={stage}>
      {children}
      <Hearing />
    </StageContext>
  );
}
