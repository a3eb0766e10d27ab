import { useState } from 'react';
import type { Mark, Stick } from '../../api/shapes';
import type { Shortcut } from '../../parts/hooks/shortcuts';
import { useShortcuts } from '../../parts/hooks/useShortcuts';
import { stickName, type Ink } from '../ledge/sticks';
import { useSticks } from '../ledge/useSticks';
import type { BoardCommands } from '../useBoardCommands';
import { SELECT, type Tool } from './tools';

/**
 * What the hand holds over a board, and the keys that put it there. Marks that are sought, or chosen from a list, are taken up with the
 * selecting hand.
 *
 * @param wanted a mark that is sought; another one takes the hand there
 */
export function useHeld(wanted: string | null | undefined) {
  const { sticks, change } = useSticks();
  const [tool, setTool] = useState<Tool>(wanted ? SELECT : { name: 'stick', index: 0 });
  const [ink, setInk] = useState<Ink>('slate');
  const [chosen, setChosen] = useState<readonly string[]>(wanted ? [wanted] : []);
  const [sought, setSought] = useState(wanted);
  if (sought !== wanted) {
    setSought(wanted);
    setChosen(wanted ? [wanted] : []);
    setTool(SELECT);
  }
  return {
    tool,
    sticks,
    ink,
    /** Marks to be chosen as soon as they are there. */
    chosen,
    take: (next: Tool) => {
      setTool(next);
      if (next.name === 'stick') setInk(sticks[next.index]!.ink);
    },
    /** Makes a stick another one, and draws with that from now on. */
    changeStick: (index: number, stick: Stick) => {
      change(index, stick);
      setInk(stick.ink);
    },
    choose: (marks: string[]) => {
      setTool(SELECT);
      setChosen(marks);
    },
  };
}

interface Deps {
  held: ReturnType<typeof useHeld>;
  mayDraw: boolean;
  me: string;
  marks: ReadonlyMap<string, Mark>;
  commands: BoardCommands;
}

/** Keys by which the hand takes something else, and takes back what it did. */
export function useHeldKeys({ held, mayDraw, me, marks, commands }: Deps) {
  const { take, sticks } = held;
  const straightenLast = () => {
    const own = [...marks.values()].filter((mark) => mark.by === me && mark.kind === 'stroke');
    const last = own.reduce((best, mark) => (best && best.z > mark.z ? best : mark), own[0]);
    if (last) void commands.straighten([last.id]);
  };
  const drawing: Record<string, Shortcut> = {
    ...Object.fromEntries(
      sticks.map((stick, index) => [
        String(index + 1),
        [stickName(stick), () => take({ name: 'stick', index })] as Shortcut,
      ]),
    ),
    t: ['Text', () => take({ name: 'text' })],
    n: ['Note', () => take({ name: 'note' })],
    x: ['Erase', () => take({ name: 'erase' })],
    '.': ['Point', () => take({ name: 'point' })],
    s: ['Straighten what you drew last', straightenLast],
    'Ctrl+z': ['Undo', () => void commands.undo()],
    'Ctrl+Shift+z': ['Redo', () => void commands.redo()],
  };
  useShortcuts({
    ...(mayDraw ? drawing : {}),
    v: ['Select', () => take(SELECT)],
    Escape: ['Put down what the hand holds', () => take(SELECT)],
  });
}
