import { MESSAGE_LIMIT } from '../api/contracts';

/** What a message holds besides its list: name, stream, id. */
const HEAD = 1_000;
const encoder = new TextEncoder();

/**
 * Parts a list so that no message says more than the server takes, by number and by bytes.
 *
 * @param most in one message
 */
export function inChunks<Item>(list: Item[], most: number): Item[][] {
  const chunks: Item[][] = [];
  let room = 0;
  for (const item of list) {
    const bytes = encoder.encode(JSON.stringify(item)).length + 1;
    if (chunks.length === 0 || chunks.at(-1)!.length >= most || bytes > room) {
      chunks.push([]);
      room = MESSAGE_LIMIT - HEAD;
    }
    chunks.at(-1)!.push(item);
    room -= bytes;
  }
  return chunks;
}
