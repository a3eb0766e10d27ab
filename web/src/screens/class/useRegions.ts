import { useState } from 'react';
import type { SittingStep } from '../../api/shapes';

/** How wide a region is: as the step has it, or as one has made it oneself. */
export type Width = 'usual' | 'wide' | 'folded';
type Own = Partial<Record<'sheet' | 'words', Width>>;

const KEY = 'veranda.regions.';

/**
 * The regions beside the paper, as the step and oneself have them. What one has folded or widened is kept for each person on this device,
 * and counts before what a step says.
 */
export function useRegions(person: string, leads: SittingStep['leads'] = 'paper') {
  const [own, setOwn] = useState(() => read(person));
  const set = (region: keyof Own, width: Width) => {
    const next = { ...own, [region]: width };
    setOwn(next);
    try {
      localStorage.setItem(KEY + person, JSON.stringify(next));
    } catch {
      // Nothing is kept where nothing may be; it holds for now.
    }
  };
  return {
    sheet: own.sheet ?? 'usual',
    words: own.words ?? (leads === 'words' ? 'wide' : 'usual'),
    people: leads === 'people',
    set,
  };
}

const WIDTHS = new Set<unknown>(['usual', 'wide', 'folded']);

function read(person: string): Own {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY + person) ?? '{}') as Record<string, unknown>;
    return Object.fromEntries(Object.entries(kept).filter(([, width]) => WIDTHS.has(width)));
  } catch {
    return {};
  }
}
