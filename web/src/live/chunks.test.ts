import { describe, expect, it } from 'vitest';
import { MESSAGE_LIMIT } from '../api/contracts';
import { inChunks } from './chunks';

describe('inChunks', () => {
  it('keeps order and leaves nothing out', () => {
    const list = Array.from({ length: 1_203 }, (_, i) => i);
    const chunks = inChunks(list, 500);
    expect(chunks.map((chunk) => chunk.length)).toEqual([500, 500, 203]);
    expect(chunks.flat()).toEqual(list);
  });

  it('fits each part into a message, letters of any kind counted as they are sent', () => {
    const strokes = Array.from({ length: 150 }, (_, i) => ({
      id: `stroke${i}`,
      set: { points: Array.from({ length: 80 }, (_, j) => j * 10.25), text: 'Öö…'.repeat(20) },
    }));
    const chunks = inChunks(strokes, 500);
    expect(chunks.length).toBeGreaterThan(1);
    for (const chunk of chunks)
      expect(new TextEncoder().encode(JSON.stringify({ changes: chunk })).length).toBeLessThan(MESSAGE_LIMIT - 500);
    expect(chunks.flat()).toEqual(strokes);
  });

  it('asks for nothing when there is nothing', () => {
    expect(inChunks([], 10)).toEqual([]);
  });
});
