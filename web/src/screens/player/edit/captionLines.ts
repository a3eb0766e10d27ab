import type { CaptionCue } from '../../../api/shapes';

/** ms of the shortest line. */
const SHORTEST = 250;

/** @returns a line said so many ms later, never before the beginning */
export function shifted(line: CaptionCue, by: number): CaptionCue {
  const moved = Math.max(by, -line.from);
  return { ...line, from: line.from + moved, to: line.to + moved };
}

/** @returns both lines as one, from the first's beginning to the second's end */
export const joined = (line: CaptionCue, next: CaptionCue): CaptionCue => ({
  ...line,
  to: Math.max(line.to, next.to),
  words: `${line.words} ${next.words}`,
});

/**
 * @param at letter at which the second begins; its time is in proportion
 * @returns a line as two, or null where one of them would be empty
 */
export function split(line: CaptionCue, at: number): [CaptionCue, CaptionCue] | null {
  const [first, second] = [line.words.slice(0, at).trim(), line.words.slice(at).trim()];
  if (!first || !second || line.to - line.from < 2 * SHORTEST) return null;
  const share = line.from + Math.round(((line.to - line.from) * at) / line.words.length);
  const between = Math.min(Math.max(share, line.from + SHORTEST), line.to - SHORTEST);
  return [
    { ...line, to: between, words: first },
    { ...line, id: crypto.randomUUID(), from: between, words: second },
  ];
}
