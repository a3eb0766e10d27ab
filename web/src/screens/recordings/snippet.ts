/** Letters that are shown around what was found. */
const AROUND = 90;

/**
 * @returns some of the words, in pieces, each with whether it is what was looked for (or begins as one of its words does)
 */
export function snippet(words: string, sought: string): [string, boolean][] {
  const stems = sought
    .split(/[\s"]+/)
    .filter((word) => word.length > 1)
    // A word is found in other forms too.
    .map((word) => word.slice(0, Math.max(word.length - 2, 3)).replace(/[.*+?^${}()|[\]\\]/g, '\\$&'));
  if (stems.length === 0) return [[words.slice(0, 2 * AROUND), false]];
  const first = words.search(new RegExp(stems.join('|'), 'i'));
  const from = Math.max(first - AROUND, 0);
  const some = `${from > 0 ? '… ' : ''}${words.slice(from, from + 2 * AROUND)}${words.length > from + 2 * AROUND ? ' …' : ''}`;
  return some
    .split(new RegExp(`((?:${stems.join('|')})[\\p{L}\\p{N}]*)`, 'iu'))
    .map((text, i): [string, boolean] => [text, i % 2 === 1])
    .filter(([text]) => text !== '');
}
