import { useEffect, useState, useSyncExternalStore } from 'react';
import type { RecordingFacts } from '../../api/resources';
import { Recorder } from './Recorder';

/** Plays a recording for as long as the component lives. */
export function usePlayback({ id, length, stretches }: RecordingFacts) {
  const [recorder] = useState(() => new Recorder(id, length, stretches));
  useSyncExternalStore(recorder.subscribe, () => recorder.version);
  useEffect(() => {
    recorder.seek(0);
    return () => recorder.stop();
  }, [recorder]);
  return recorder;
}

export type Playback = Recorder;
