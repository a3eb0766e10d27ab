import { open, type Device } from './devices';
import type { Made } from './simulated';

/** ms for which a microphone is kept open after it was let go of for a moment, so that it is there at once. */
const WARM = 15_000;

/** One's own microphone and camera while they are open. */
export class OwnDevices {
  private used: Partial<Record<Device, Made>> = {};
  private warm: { made: Made; timer: ReturnType<typeof setTimeout> } | null = null;

  /** @param name whose they are, for what is simulated */
  constructor(private name: string) {}

  /** @returns what a device sends; null while it is not used */
  track = (device: Device): MediaStreamTrack | null => this.used[device]?.track ?? null;

  /** @throws what `troubleWith` has words for */
  async open(device: Device): Promise<Made> {
    return (device === 'microphone' && this.taken()) || (await open(device, this.name));
  }

  /**
   * From now on it is used.
   * @param onGone it was pulled out, or taken away by the browser
   */
  use(device: Device, made: Made, onGone: () => void) {
    this.used[device] = made;
    made.track.onended = onGone;
  }

  /** @param soonAgain whether it may be wanted again in a moment: then it is kept open for that long, and nothing of it is sent */
  letGo(device: Device, soonAgain = false) {
    const made = this.used[device];
    delete this.used[device];
    if (!made) return;
    if (!soonAgain) return made.stop();
    this.taken()?.stop();
    this.warm = { made, timer: setTimeout(() => this.taken()?.stop(), WARM) };
  }

  close() {
    Object.values(this.used).forEach((made) => made.stop());
    this.taken()?.stop();
  }

  /** @returns what was kept open, which is kept no more */
  private taken(): Made | null {
    const { made, timer } = this.warm ?? { made: null, timer: undefined };
    clearTimeout(timer);
    this.warm = null;
    return made;
  }
}
