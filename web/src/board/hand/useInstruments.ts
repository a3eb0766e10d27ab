import { useCallback, type RefObject } from 'react';
import type { BoardState, NewMark } from '../../live/board';
import type { Ink } from '../ledge/sticks';
import { mayChange } from '../selection/mayChange';
import type { BoardCommands } from '../useBoardCommands';
import { useErasing } from './useErasing';
import { useInk } from './useInk';
import { usePointerTrail } from './usePointerTrail';
import { usePolygon } from './usePolygon';
import { useShaping } from './useShaping';

interface Given {
  board: BoardState;
  page: string;
  ink: Ink;
  who: Parameters<typeof mayChange>[0];
  commands: BoardCommands;
  /** The stroke being drawn, which is changed without React. */
  wet: RefObject<SVGPathElement | null>;
}

/** Everything that the hand draws with, each turning what it did into commands. */
export function useInstruments({ board, page, ink, who, commands, wet }: Given) {
  const put = useCallback((mark: NewMark) => void commands.put(mark), [commands]);
  return {
    ink: useInk(wet, {
      onStroke: put,
      onGlimpse: useCallback((body) => commands.glimpse('ink', body), [commands]),
    }),
    shaping: useShaping(page, ink, put),
    polygon: usePolygon(page, ink, put),
    erasing: useErasing(
      useCallback(
        (id: string) => {
          const mark = board.marks.get(id);
          return !!mark && mayChange(who, mark);
        },
        [board.marks, who],
      ),
      useCallback((ids: string[]) => void commands.remove(ids), [commands]),
    ),
    trail: usePointerTrail({
      onGlimpse: useCallback((x, y) => commands.glimpse('pointer', { page, x, y }), [commands, page]),
      onTrail: useCallback((path) => void commands.trail(page, path), [commands, page]),
    }),
  };
}

export type Instruments = ReturnType<typeof useInstruments>;
