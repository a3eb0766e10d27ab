import { LEADING, NOTE_INSET, OTHERWISE, WIDTHS } from '../../api/contracts';

export interface Layout {
  lines: string[];
  height: number;
}

const widthOf = (character: string) => WIDTHS[character] ?? OTHERWISE;

/** Breaks text into lines as `Core::Boards::TextLayout` does, step for step, in one go over the characters. */
export function layOut(text: string, size: number, width: number, inset = 0): Layout {
  const room = Math.max(width - 2 * inset, size);
  const fits = (thousandths: number) => (thousandths * size) / 1000 <= room;
  const lines = text.split('\n').flatMap((paragraph) => wrap(paragraph, fits));
  return { lines, height: lines.length * size * LEADING + 2 * inset };
}

function wrap(paragraph: string, fits: (thousandths: number) => boolean): string[] {
  const lines: string[] = [];
  let line = '';
  let sum = 0;
  const begin = () => {
    lines.push(line);
    line = '';
    sum = 0;
  };
  for (const word of paragraph.split(/(?<= )/)) {
    const bare = word.endsWith(' ') ? word.slice(0, -1) : word;
    const characters = [...bare];
    if (line !== '' && !fits(sum + characters.reduce((width, one) => width + widthOf(one), 0))) begin();
    for (const character of characters) {
      if (line !== '' && !fits(sum + widthOf(character))) begin();
      line += character;
      sum += widthOf(character);
    }
    if (bare.length < word.length) {
      line += ' ';
      sum += widthOf(' ');
    }
  }
  return [...lines, line].map((one) => one.replace(/ +$/, ''));
}

/** The layout of a text or note mark. */
export function layOutMark(mark: { kind: string; text?: string; size?: number; w?: number }): Layout {
  return layOut(mark.text ?? '', mark.size ?? 28, mark.w ?? 300, mark.kind === 'note' ? NOTE_INSET : 0);
}
