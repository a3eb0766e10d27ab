import { simulatedPicture, simulatedVoice, type Made } from './simulated';

export type Device = 'microphone' | 'camera';

/** What each device takes, and its words off, on their way, and on. */
export const DEVICES = {
  microphone: { right: 'speak', words: { off: 'Microphone', wanted: 'Microphone …', on: 'Mute' } },
  camera: { right: 'camera', words: { off: 'Camera', wanted: 'Camera …', on: 'Camera off' } },
} as const;

/** What browsers call each, and what is heard with. */
export const KINDS = { microphone: 'audioinput', camera: 'videoinput', speaker: 'audiooutput' } as const;
export type AnyDevice = keyof typeof KINDS;

/** A device that is there. */
export interface Known {
  id: string;
  name: string;
}

/** Which device is used, as this browser keeps it: `simulated`, the id of one, or nothing for the usual one. */
const kept = (device: AnyDevice) => `veranda.${device}`;
export const SIMULATED = 'simulated';
export const chosen = (device: AnyDevice): string | null => localStorage.getItem(kept(device));
export const choose = (device: AnyDevice, id: string | null) =>
  id ? localStorage.setItem(kept(device), id) : localStorage.removeItem(kept(device));

/** Whether this browser lets one choose by which speaker one hears. */
export const choosesSpeaker = () => 'setSinkId' in HTMLMediaElement.prototype;

/** Has something heard by the speaker that is chosen; by the usual one where that is gone. */
export async function sendTo(element: HTMLMediaElement): Promise<void> {
  if (choosesSpeaker()) await element.setSinkId(chosen('speaker') ?? '').catch(() => element.setSinkId(''));
}

const NAMES: Record<Device, string> = { microphone: 'microphone', camera: 'camera' };

/** What is said of one that was there a moment ago. */
export const goneWords = (device: Device) =>
  `The ${NAMES[device]} is gone. Plug it in again, or go on with a simulated one.`;

/** Why a device could not be used, and what one can do about it (Media Capture and Streams, 10.2). */
export function troubleWith(device: Device, error: unknown): string {
  const name = NAMES[device];
  switch (error instanceof DOMException ? error.name : '') {
    case 'NotFoundError':
    case 'OverconstrainedError':
      return `No ${name} was found. Plug one in, or go on with a simulated one.`;
    case 'NotAllowedError':
      return `This browser does not let Veranda use the ${name}. Allow it in the settings of this page, or go on with a simulated one.`;
    case 'NotReadableError':
      return `The ${name} is taken by another program. Close that, or go on with a simulated one.`;
    default:
      return `The ${name} could not be used. Try again, or go on with a simulated one.`;
  }
}

/**
 * Opens the device that is chosen.
 * @param name whose it is, for what is simulated
 * @throws what {@link troubleWith} has words for
 */
export async function open(device: Device, name: string): Promise<Made> {
  const id = chosen(device);
  if (id === SIMULATED) return device === 'microphone' ? simulatedVoice(name) : simulatedPicture(name);
  const which = id ? { deviceId: { ideal: id } } : {};
  const wish =
    device === 'microphone'
      ? { audio: { ...which, echoCancellation: true, noiseSuppression: true, autoGainControl: true } }
      : { video: { ...which, width: { ideal: 320 }, height: { ideal: 240 }, frameRate: { ideal: 15, max: 24 } } };
  if (!navigator.mediaDevices) throw new DOMException('No devices here', 'NotFoundError');
  const track = (await navigator.mediaDevices.getUserMedia(wish)).getTracks()[0]!;
  return { track, stop: () => track.stop() };
}
