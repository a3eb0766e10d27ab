/** dB below the loudest there can be: quieter than this is nobody speaking, faint, and too loud. */
const SILENT = -58;
const FAINT = -38;
const TOO_LOUD = -3;
/** The meter begins there, in the same dB. */
const LOWEST = -70;

export type Heard = 'not' | 'faintly' | 'well' | 'too loud';

/** What is said of each, and what one can do about it. */
export const HEARD_WORDS: Record<Heard, string> = {
  not: 'Nothing is heard yet. Say something; if it stays like this, choose another microphone.',
  faintly: 'You are heard, but faintly. Come closer, or speak up.',
  well: 'You are heard well.',
  'too loud': 'That is too loud. Move away a little.',
};

/** @returns the peak of a stretch of sound in dB, 0 for the loudest there can be */
export function peakOf(samples: Float32Array): number {
  const peak = samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0);
  return 20 * Math.log10(Math.max(peak, 1e-6));
}

/** @param peak in dB */
export const heardAs = (peak: number): Heard =>
  peak < SILENT ? 'not' : peak < FAINT ? 'faintly' : peak > TOO_LOUD ? 'too loud' : 'well';

/** @returns how far a meter is filled, 0 to 1 */
export const filled = (peak: number): number => Math.min(Math.max((peak - LOWEST) / -LOWEST, 0), 1);
