import { useMemo } from 'react';
import type { Mark } from '../../api/shapes';
import { newId } from '../../live/LiveClient';
import type { NewMark } from '../../live/board';
import type { Ink } from '../ledge/sticks';
import type { BoardCommands, Way } from '../useBoardCommands';
import type { Selection } from './useSelection';

/** How far a duplicate lies from what it was made of, in px. */
const ASIDE = 32;

const GIVEN = new Set(['by', 'at', 'z', 'shows', 'locked']);

/** A mark as it would be put afresh: without author, time, place in the pile and lock. */
export function afresh(mark: Mark): NewMark {
  return Object.fromEntries(Object.entries(mark).filter(([field]) => !GIVEN.has(field))) as unknown as NewMark;
}

/** Copies with ids of their own; groups stay groups among themselves. */
export function copies(marks: readonly (NewMark | Mark)[], page: string, dx: number, dy: number): NewMark[] {
  const groups = new Map<string, string>();
  const grouped = (group: string) => groups.get(group) ?? groups.set(group, newId()).get(group)!;
  return marks.map((mark) => ({
    ...afresh(mark as Mark),
    id: newId(),
    page,
    x: mark.x + dx,
    y: mark.y + dy,
    ...(mark.group ? { group: grouped(mark.group) } : {}),
  }));
}

/** Everything that can be done with what is selected. */
export function useMarkActions(selection: Selection, commands: BoardCommands, mayChange: (mark: Mark) => boolean) {
  const { movable, selected, select, clear } = selection;
  return useMemo(() => {
    const ids = movable.map(({ id }) => id);
    const set = (changes: Record<string, unknown>) =>
      commands.change(movable.map(({ id }) => ({ id, set: changes as NewMark })));
    return {
      recolour: (ink: Ink) => set({ ink }),
      fill: (fill: boolean) => set({ fill }),
      widen: (width: number) => set({ width }),
      /** Letters of another size; what they are written in grows along, so that lines end where they did. */
      write: (size: number) =>
        commands.change(
          movable
            .filter((mark) => mark.size !== undefined)
            .map(({ id, w, size: before }) => ({ id, set: { size, w: Math.round(((w ?? 300) * size) / before!) } })),
        ),
      lock: (locked: boolean) => commands.change(selected.map(({ id }) => ({ id, set: { locked } }))),
      group: () => set({ group: newId() }),
      ungroup: () => set({ group: null }),
      arrange: (way: Way) => commands.arrange(ids, way),
      straighten: () => void commands.straighten(ids),
      describe: (alt: string) => set({ alt }),
      duplicate: () => {
        const made = copies(selected, selected[0]!.page, ASIDE, ASIDE);
        void commands.put(...made);
        select(made.map(({ id }) => id));
      },
      takeOff: () => {
        void commands.remove(movable.filter(mayChange).map(({ id }) => id));
        clear();
      },
    };
  }, [movable, selected, select, clear, commands, mayChange]);
}

export type MarkActions = ReturnType<typeof useMarkActions>;
