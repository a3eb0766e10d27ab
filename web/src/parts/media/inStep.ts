/** s by which a sound or picture may be off before it is put right by a jump; up to there its speed leads it back. */
const JUMP = 0.3;
/** s over which it is led back, and the most that its speed is changed by: what is less cannot be heard. */
const OVER = 2;
const MOST = 0.08;
/** s that nobody notices while all stands still. */
const NOTICED = 0.03;

export interface Pace {
  /** s into it at which it should be. */
  at: number;
  playing: boolean;
  speed: number;
}

/**
 * Keeps a sound or a moving picture where something else is. To be called several times a second.
 * @param onHeld the browser wants something to be pressed first
 * @returns whether it is there, or soon will be
 */
export function keepInStep(element: HTMLMediaElement, { at, playing, speed }: Pace, onHeld = () => {}): boolean {
  if (element.readyState === HTMLMediaElement.HAVE_NOTHING) return false;
  const off = element.currentTime - at;
  if (!playing) {
    if (!element.paused) element.pause();
    if (Math.abs(off) > NOTICED && !element.seeking) element.currentTime = Math.max(at, 0);
    return true;
  }
  // What comes only later, or is over.
  if (at < 0 || at > element.duration) {
    if (!element.paused) element.pause();
    return true;
  }
  if (Math.abs(off) > JUMP * Math.max(speed, 1)) {
    if (!element.seeking) element.currentTime = at;
  } else element.playbackRate = speed * (1 - Math.min(Math.max(off / OVER, -MOST), MOST));
  if (element.paused)
    element.play().catch((error: unknown) => {
      if (error instanceof DOMException && error.name === 'NotAllowedError') onHeld();
    });
  return Math.abs(off) <= JUMP;
}
