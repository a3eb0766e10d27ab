import { useSyncExternalStore } from 'react';

/** How somebody wishes to read captions, kept in their browser. */
export interface CaptionWish {
  on: boolean;
  large: boolean;
  above: boolean;
  /** Of a recording; null for the first there is. */
  lang: string | null;
  /** Whether one writes them, where one may. */
  writing: boolean;
}

const KEY = 'veranda.captions';
const USUAL: CaptionWish = { on: false, large: false, above: false, lang: null, writing: false };
const listeners = new Set<() => void>();

function read(): CaptionWish {
  try {
    return { ...USUAL, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<CaptionWish>) };
  } catch {
    return USUAL;
  }
}

let wish = read();

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** @returns the wish, and a way to change some of it */
export function useCaptionWish() {
  const now = useSyncExternalStore(subscribe, () => wish);
  const set = (some: Partial<CaptionWish>) => {
    wish = { ...wish, ...some };
    localStorage.setItem(KEY, JSON.stringify(wish));
    listeners.forEach((listener) => listener());
  };
  return [now, set] as const;
}
