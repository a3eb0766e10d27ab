import type { KeyboardEvent } from 'react';
import type { Mark } from '../api/shapes';
import type { MarkActions } from './selection/useMarkActions';
import type { BoardCommands } from './useBoardCommands';
import type { Selection } from './selection/useSelection';
import type { useView } from './hand/useView';
import type { useWalk } from './hand/useWalk';

interface Deps {
  walk: ReturnType<typeof useWalk>;
  marks: Mark[];
  selecting: boolean;
  selection: Selection;
  actions: MarkActions;
  commands: BoardCommands;
  zoom: Omit<ReturnType<typeof useView>, 'holder'>;
  /** Enter: on a mark, on the selection, or to put something in the middle of what is seen. */
  onEnter: (focused: string | null) => void;
}

const NUDGE = 8;
const FINE = 1;
const TURN = 15;
const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Keys while the paper, or a mark on it, has the focus. */
export function useBoardKeys({ walk, marks, selecting, selection, actions, commands, zoom, onEnter }: Deps) {
  return (event: KeyboardEvent) => {
    const arrow = ARROWS[event.key];
    const focused = (event.target as Element).getAttribute('data-mark');
    const control = event.ctrlKey || event.metaKey;
    const { box } = selection;
    if (event.key === ' ' && focused) selection.toggle(focused);
    else if (event.key === 'Enter') onEnter(focused);
    else if ((event.key === 'Delete' || event.key === 'Backspace') && box) actions.takeOff();
    else if (arrow && box && event.altKey) {
      const [w, h] = [Math.max(box.w + arrow[0] * NUDGE, NUDGE), Math.max(box.h + arrow[1] * NUDGE, NUDGE)];
      commands.change(selection.changesTo({ ...box, w, h }));
    } else if (arrow && box) {
      const step = event.shiftKey ? FINE : NUDGE;
      commands.change(selection.changesTo({ ...box, x: box.x + arrow[0] * step, y: box.y + arrow[1] * step }));
    } else if (arrow && focused) walk.walk(focused, arrow[0] + arrow[1] > 0 ? 1 : -1);
    else if (event.key === 'Escape' && focused) {
      // The rest of what Escape does is the screen's.
      selection.clear();
      walk.toPaper();
      return;
    } else if (arrow) zoom.pan(arrow[0] * 60, arrow[1] * 60);
    else if (control && event.key === 'a' && selecting) selection.select(marks.map((mark) => mark.id));
    else if (control && event.key === 'd' && box) actions.duplicate();
    else if (control && event.key === 'g' && box) (event.shiftKey ? actions.ungroup : actions.group)();
    else if (event.key === 'r' && box) commands.change(selection.changesTurned(TURN));
    else if (event.key === 'R' && box) commands.change(selection.changesTurned(-TURN));
    else return;
    event.preventDefault();
  };
}
