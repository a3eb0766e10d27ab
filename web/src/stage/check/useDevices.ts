import { useEffect, useState } from 'react';
import { KINDS, type Known } from '../devices';

/** What is plugged in. Browsers tell names only of what one has let them use. */
export type Plugged = Record<keyof typeof KINDS, Known[]>;

const NOTHING: Plugged = { microphone: [], camera: [], speaker: [] };

/** @returns the devices that are there now, for as long as somebody looks */
export function useDevices(again: unknown = null): Plugged {
  const [plugged, setPlugged] = useState(NOTHING);
  useEffect(() => {
    const devices = navigator.mediaDevices as MediaDevices | undefined;
    if (!devices?.enumerateDevices) return;
    let here = true;
    const look = () =>
      void devices.enumerateDevices().then((found) => {
        if (here) setPlugged(sorted(found));
      });
    look();
    devices.addEventListener('devicechange', look);
    return () => {
      here = false;
      devices.removeEventListener('devicechange', look);
    };
  }, [again]);
  return plugged;
}

/** The usual one is listed twice by some browsers, once as itself. */
export function sorted(found: Pick<MediaDeviceInfo, 'deviceId' | 'kind' | 'label'>[]): Plugged {
  const of = (kind: MediaDeviceKind) =>
    found
      .filter((one) => one.kind === kind && one.deviceId !== '' && one.deviceId !== 'default')
      .map(({ deviceId, label }, i) => ({ id: deviceId, name: label || `Number ${i + 1}` }));
  return { microphone: of(KINDS.microphone), camera: of(KINDS.camera), speaker: of(KINDS.speaker) };
}
