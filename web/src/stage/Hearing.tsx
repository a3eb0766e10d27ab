import { useEffect, useRef } from 'react';
import { sendTo } from './devices';
import { useStage, useStageState } from './useStage';

/** Everybody's sound. Where the browser holds it back, whatever is pressed next lets it through. */
export function Hearing() {
  const stage = useStage();
  const state = useStageState();
  const held = state?.held;
  useEffect(() => {
    if (!held) return;
    const pressed = () => stage?.release();
    const presses = ['pointerup', 'keyup'] as const;
    presses.forEach((press) => document.addEventListener(press, pressed));
    return () => presses.forEach((press) => document.removeEventListener(press, pressed));
  }, [held, stage]);
  return (['tracks', 'overheard'] as const).flatMap((where) =>
    [...(state?.[where] ?? [])].map(
      ([person, { audio }]) => audio && <Voice key={`${where} ${person}`} sound={audio} />,
    ),
  );
}

function Voice({ sound }: { sound: MediaStream }) {
  const stage = useStage();
  const state = useStageState();
  const held = state?.held;
  const speaker = state?.speaker;
  const ref = useRef<HTMLAudioElement>(null);
  useEffect(() => {
    const element = ref.current!;
    if (element.srcObject !== sound) element.srcObject = sound;
    void sendTo(element);
    // A browser may want something to be pressed first.
    element.play().catch((error: unknown) => {
      if (error instanceof DOMException && error.name === 'NotAllowedError') stage?.hold();
    });
  }, [sound, stage, held, speaker]);
  return <audio ref={ref} autoPlay data-testid="voice" />;
}
