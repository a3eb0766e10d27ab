import Button from '@mui/material/Button';
import { useState } from 'react';
import { useLive, useServerNow, useStaff } from '../../live/hooks';
import type { SittingState } from '../../live/sitting';
import { sittingStream } from '../../live/streams';
import { Line } from '../../parts/frame/Line';

/** ms of teaching after which it is asked. */
const AFTER = 120_000;

/** For staff: where nobody has begun to record, and nothing will begin by itself, they are asked once. */
export function NotRecorded({ sitting }: { sitting: SittingState }) {
  const live = useLive();
  const staff = useStaff(sitting.id);
  const now = useServerNow(10_000);
  const [left, setLeft] = useState(false);
  if (!staff || left || sitting.rehearsal || sitting.status !== 'open' || sitting.stretches.length > 0) return null;
  const [first] = sitting.moves;
  if (!first || now - first.at < AFTER || comes(sitting, staff.record_from)) return null;
  return (
    <Line label="Not recorded" says="Nothing of this class is recorded so far.">
      <Button size="small" onClick={() => void live.do('class.record', sittingStream(sitting.id), { on: true })}>
        Record from now on
      </Button>
      <Button size="small" onClick={() => setLeft(true)}>
        Leave it so
      </Button>
    </Line>
  );
}

/** @returns whether recording begins by itself with a step that is still to come */
function comes({ steps, moves }: SittingState, from: string | null): boolean {
  const at = (id: string | undefined | null) => steps.findIndex((step) => step.id === id);
  return from !== null && at(from) > at(moves.at(-1)?.step);
}
