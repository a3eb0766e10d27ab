import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import type { Rights } from '../api/shapes';
import { useLive, useOwn } from '../live/hooks';
import { placeStream } from '../live/streams';
import { Line } from '../parts/frame/Line';
import { firstName } from '../parts/words/people';
import { DEVICES, type Device } from './devices';
import { useStage } from './useStage';

interface Props {
  sitting: string;
  at: string;
  rights: Rights | undefined;
}

/** Somebody who teaches asks one to speak, or to be seen. Nothing is on before one agrees, and nobody else knows. */
export function Invited({ sitting, at, rights }: Props) {
  const live = useLive();
  const stage = useStage();
  const invitation = useOwn(sitting)?.invitation;
  const [agreed, setAgreed] = useState<Device | null>(null);
  const may = agreed ? rights?.[DEVICES[agreed].right]?.allowed : false;
  useEffect(() => {
    if (!agreed || !may) return;
    // That one may arrives after that one agreed.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setAgreed(null);
    void stage?.set(agreed, true);
  }, [agreed, may, stage]);
  if (!invitation || invitation.place !== at) return null;
  const { device, name } = invitation;
  const answer = (yes: boolean) => {
    if (yes) setAgreed(device);
    void live.do('class.answer_invitation', placeStream(sitting, at), { yes });
  };
  return (
    <Line
      label="An invitation"
      marked
      says={`${firstName(name)} invites you to ${device === 'microphone' ? 'speak' : 'show your camera'}.`}
    >
      <Button size="small" variant="contained" onClick={() => answer(true)}>
        {device === 'microphone' ? 'Switch my microphone on' : 'Switch my camera on'}
      </Button>
      <Button size="small" onClick={() => answer(false)}>
        Rather not now
      </Button>
    </Line>
  );
}
