import { useCallback, useMemo, useState } from 'react';
import type { Mark, MarkChange } from '../live/board';
import { around, boxOf, fitted, round, type Box } from './boxes';

/** What is selected on a page, and what a drag is about to make of it. */
export function useSelection(marks: Mark[], mayMove: (mark: Mark) => boolean) {
  const [ids, setIds] = useState<ReadonlySet<string>>(new Set());
  const [target, setTarget] = useState<Box | null>(null);

  const selected = useMemo(() => marks.filter((mark) => ids.has(mark.id)), [marks, ids]);
  const box = useMemo(() => around(selected.map(boxOf)), [selected]);
  const movable = useMemo(() => selected.filter(mayMove), [selected, mayMove]);

  const select = useCallback((chosen: Iterable<string>) => setIds(new Set(chosen)), []);
  const toggle = useCallback(
    (id: string) =>
      setIds((present) => new Set(present.has(id) ? [...present].filter((other) => other !== id) : [...present, id])),
    [],
  );

  /** What to ask for when the selection goes to another box. */
  const changesTo = useCallback(
    (to: Box): MarkChange[] =>
      box === null
        ? []
        : movable.map((mark) => {
            const { x, y, w, h, points } = fitted(mark, box, to);
            const set = { x, y, w, h };
            const numbers = Object.entries(set).filter(([, value]) => value !== undefined);
            return {
              id: mark.id,
              set: {
                ...Object.fromEntries(numbers.map(([name, value]) => [name, round(value!)])),
                ...(points ? { points } : {}),
              },
            };
          }),
    [box, movable],
  );

  return { ids, selected, movable, box, target, setTarget, select, toggle, changesTo };
}

export type Selection = ReturnType<typeof useSelection>;
