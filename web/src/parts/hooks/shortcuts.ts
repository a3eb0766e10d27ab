/** What a key does, with the words by which the list of keys names it. */
export type Shortcut = readonly [says: string, act: () => void];
export type Shortcuts = Record<string, Shortcut>;

/** Keys that do more the longer they are held; of the others only the first press counts. */
const HELD = /^(Arrow|Ctrl\+(Shift\+)?z$)/;
/** What has its own use of keys while it is open. */
const OPEN = '[role=dialog], [role=menu], [role=listbox]';
/** What Space and Enter press. */
const PRESSED = 'button, a[href], summary, input, [role=button], [role=slider], [role=menuitem]';

/** @returns the key as the list of keys writes it: `Ctrl+Shift+z`, `]`, `Alt+1` whatever that key gives with Alt on this keyboard */
export function nameOf(event: KeyboardEvent): string {
  const digit = event.altKey ? /^(?:Digit|Numpad)(\d)$/.exec(event.code)?.[1] : undefined;
  const key = digit ?? (event.key.length === 1 ? event.key.toLowerCase() : event.key);
  const control = event.ctrlKey || event.metaKey ? 'Ctrl+' : '';
  const alt = event.altKey ? 'Alt+' : '';
  return `${control}${alt}${control && event.shiftKey ? 'Shift+' : ''}${key}`;
}

/** Fields that take no letters: a switch keeps the focus after it was pressed, and keys go on. */
const NO_LETTERS = 'input:is([type=checkbox], [type=radio], [type=button], [type=range])';

export const isWriting = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) && !target.matches(NO_LETTERS)));

/** @returns whether a key belongs to the screen, and not to what has the focus, is open, or is being written */
export function forTheScreen(event: KeyboardEvent): boolean {
  if (event.defaultPrevented || event.isComposing || isWriting(event.target)) return false;
  if (event.repeat && !HELD.test(nameOf(event))) return false;
  if (document.querySelector(OPEN)) return false;
  const presses = event.key === ' ' || event.key === 'Enter';
  return !(presses && event.target instanceof Element && event.target.closest(PRESSED));
}

const listed = new Set<() => Shortcuts>();

/** Lists keys for as long as the answer is not called. */
export function list(keys: () => Shortcuts): () => void {
  listed.add(keys);
  return () => void listed.delete(keys);
}

/** @returns every key that does something just now, with its words */
export const allShortcuts = (): [string, string][] =>
  [...listed].flatMap((keys) => Object.entries(keys()).map(([key, [says]]) => [key, says] as [string, string]));
