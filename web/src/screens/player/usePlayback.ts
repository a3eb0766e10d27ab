import { useEffect, useState, useSyncExternalStore } from 'react';
import { Recorder } from './Recorder';

/** Plays a recording for as long as the component lives. */
export function usePlayback(id: string, length: number) {
  const [recorder] = useState(() => new Recorder(id, length));
  useSyncExternalStore(recorder.subscribe, () => recorder.version);
  useEffect(() => {
    recorder.seek(0);
    return () => recorder.stop();
  }, [recorder]);
  return recorder;
}

export type Playback = Recorder;
