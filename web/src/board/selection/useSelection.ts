import { useCallback, useMemo, useState } from 'react';
import type { Mark } from '../../api/shapes';
import type { MarkChange } from '../../live/board';
import { around, boundsOf, boxOf, fitted, round, type Box } from '../geometry/boxes';

/** What is selected on a page, and what a drag is about to make of it. Marks of a group are selected together. */
export function useSelection(marks: Mark[], mayMove: (mark: Mark) => boolean) {
  const [ids, setIds] = useState<ReadonlySet<string>>(new Set());
  const [target, setTarget] = useState<Box | null>(null);
  const [turn, setTurn] = useState(0);

  const selected = useMemo(() => marks.filter((mark) => ids.has(mark.id)), [marks, ids]);
  const single = selected.length === 1 ? selected[0]! : null;
  // One turned mark is framed as it lies; several are framed upright.
  const box = useMemo(() => (single ? boxOf(single) : around(selected.map(boundsOf))), [selected, single]);
  const movable = useMemo(() => selected.filter(mayMove), [selected, mayMove]);

  const withGroups = useCallback(
    (chosen: Iterable<string>) => {
      const all = new Set(chosen);
      const groups = new Set(marks.filter((mark) => all.has(mark.id) && mark.group).map((mark) => mark.group));
      for (const mark of marks) if (mark.group && groups.has(mark.group)) all.add(mark.id);
      return all;
    },
    [marks],
  );
  const select = useCallback((chosen: Iterable<string>) => setIds(withGroups(chosen)), [withGroups]);
  const clear = useCallback(() => setIds(new Set()), []);
  const toggle = useCallback(
    (id: string) =>
      setIds((present) => {
        const these = withGroups([id]);
        const rest = [...present].filter((other) => !these.has(other));
        return new Set(present.has(id) ? rest : [...rest, ...these]);
      }),
    [withGroups],
  );

  /** What to ask for when the selection goes to another box. */
  const changesTo = useCallback(
    (to: Box): MarkChange[] =>
      box === null
        ? []
        : movable.map((mark) => {
            const { x, y, w, h, points } = fitted(mark, box, to);
            const numbers = Object.entries({ x, y, w, h }).filter(([, value]) => value !== undefined);
            const rounded = Object.fromEntries(numbers.map(([name, value]) => [name, round(value!)]));
            return { id: mark.id, set: { ...rounded, ...(points ? { points } : {}) } };
          }),
    [box, movable],
  );

  /** What to ask for when the selection is turned about its middle, by degrees clockwise. */
  const changesTurned = useCallback(
    (degrees: number): MarkChange[] => (box === null ? [] : movable.map((mark) => turned(mark, box, degrees))),
    [box, movable],
  );

  return {
    ids,
    selected,
    single,
    movable,
    box,
    target,
    setTarget,
    turn,
    setTurn,
    select,
    clear,
    toggle,
    changesTo,
    changesTurned,
  };
}

export type Selection = ReturnType<typeof useSelection>;

function turned(mark: Mark, around: Box, degrees: number): MarkChange {
  const turn = (degrees * Math.PI) / 180;
  const own = boxOf(mark);
  const [cx, cy] = [around.x + around.w / 2, around.y + around.h / 2];
  const [dx, dy] = [own.x + own.w / 2 - cx, own.y + own.h / 2 - cy];
  const [sin, cos] = [Math.sin(turn), Math.cos(turn)];
  const angle = ((((mark.angle ?? 0) + degrees + 180) % 360) + 360) % 360;
  return {
    id: mark.id,
    set: {
      x: round(mark.x + dx * cos - dy * sin - dx),
      y: round(mark.y + dx * sin + dy * cos - dy),
      angle: round(angle - 180),
    },
  };
}
