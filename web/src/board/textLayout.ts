import { LEADING, NOTE_INSET, OTHERWISE, WIDTHS } from '../api/contracts';

/** Width of one line in px, from the widths the core uses. */
export function lineWidth(text: string, size: number): number {
  let sum = 0;
  for (const character of text) sum += WIDTHS[character] ?? OTHERWISE;
  return (sum * size) / 1000;
}

export interface Layout {
  lines: string[];
  height: number;
}

/** Breaks text into lines as `Core::Boards::TextLayout` does, step for step. */
export function layOut(text: string, size: number, width: number, inset = 0): Layout {
  const room = Math.max(width - 2 * inset, size);
  const fits = (line: string) => lineWidth(line, size) <= room;
  const lines = text.split('\n').flatMap((paragraph) => wrap(paragraph, fits));
  return { lines, height: lines.length * size * LEADING + 2 * inset };
}

function wrap(paragraph: string, fits: (line: string) => boolean): string[] {
  const lines = [''];
  for (const word of paragraph.split(/(?<= )/)) {
    if (lines.at(-1) !== '' && !fits(lines.at(-1)! + word.trimEnd())) lines.push('');
    lines[lines.length - 1] += word;
    while (!fits(lines.at(-1)!.trimEnd())) lines.push(...splitLast(lines.pop()!, fits));
  }
  return lines.map((line) => line.trimEnd());
}

function splitLast(word: string, fits: (line: string) => boolean): [string, string] {
  const characters = [...word];
  let length = 1;
  while (length < characters.length && fits(characters.slice(0, length + 1).join(''))) length++;
  return [characters.slice(0, length).join(''), characters.slice(length).join('')];
}

/** The layout of a text or note mark. */
export function layOutMark(mark: { kind: string; text?: string; size?: number; w?: number }): Layout {
  return layOut(mark.text ?? '', mark.size ?? 28, mark.w ?? 300, mark.kind === 'note' ? NOTE_INSET : 0);
}
