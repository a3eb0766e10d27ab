/** ms: a press that is shorter is a tap, and two taps within so long are one double tap. */
const TAP = 300;
const TWICE = 500;

export type Talk = 'open' | 'close' | null;

/**
 * What one key does with a microphone: it is open for as long as the key is held. Tapped twice it stays open, and one more press closes it.
 *
 * @returns what to do when the key goes down and up, at a time in ms; `open` tells whether the microphone is open before
 */
export function talkKey() {
  let since: number | null = null;
  let tapped = -Infinity;
  return {
    down(at: number, open: boolean): Talk {
      if (open && since === null) return 'close';
      since = at;
      return 'open';
    },
    up(at: number): Talk {
      if (since === null) return null;
      const tap = at - since < TAP;
      const twice = tap && since - tapped < TWICE;
      since = null;
      tapped = tap && !twice ? at : -Infinity;
      return twice ? null : 'close';
    },
  };
}
