/** A line that is an item of a list: its sign or number, and what follows. */
const ITEM = /^(\s*)(?:([-–•*])|(\d{1,3})([.)]))\s(.*)$/;

/**
 * What Enter does inside a list: the next line begins with the same sign or the next number; an item
 * with nothing in it ends the list.
 * @returns the text and where the caret goes, or null outside of lists
 */
export function nextItem(text: string, from: number, to: number): { text: string; caret: number } | null {
  const start = text.lastIndexOf('\n', from - 1) + 1;
  const item = ITEM.exec(text.slice(start, from));
  if (!item) return null;
  const [, indent, sign, number, stop, words] = item;
  if (!words!.trim() && from === to) {
    return { text: text.slice(0, start) + text.slice(to), caret: start };
  }
  const lead = `\n${indent}${sign ?? `${Number(number) + 1}${stop}`} `;
  return { text: text.slice(0, from) + lead + text.slice(to), caret: from + lead.length };
}
