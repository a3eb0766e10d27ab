import { useEffect, useRef, useState, type PointerEvent, type RefObject } from 'react';
import type { Mark, Stick } from '../../api/shapes';
import { boundsOf, meets, type Box } from '../geometry/boxes';
import { resized, resizedTurned, type Corner } from '../selection/SelectionFrame';
import type { Tool } from './tools';
import type { BoardCommands } from '../useBoardCommands';
import type { useErasing } from './useErasing';
import type { Sample, useInk } from './useInk';
import { Pointers, type Pinch } from './pointers';
import type { usePolygon } from './usePolygon';
import type { Selection } from '../selection/useSelection';
import type { useShaping } from './useShaping';
import { useWheel } from './useWheel';
import type { useView } from './useView';

interface Hands {
  page: string;
  svg: RefObject<SVGSVGElement | null>;
  zoom: Omit<ReturnType<typeof useView>, 'holder'>;
  tool: Tool;
  stick: Stick | null;
  mayDraw: boolean;
  marks: Mark[];
  selection: Selection;
  commands: BoardCommands;
  ink: ReturnType<typeof useInk>;
  shaping: ReturnType<typeof useShaping>;
  polygon: ReturnType<typeof usePolygon>;
  erasing: ReturnType<typeof useErasing>;
  point: (x: number, y: number) => void;
  /** Puts what a single click puts: a text, a note or a sign. */
  onPlace: (x: number, y: number) => void;
  onTouch: () => void;
}

type Drag =
  | { name: 'pan'; x: number; y: number }
  | { name: 'move'; x: number; y: number }
  | { name: 'resize'; corner: Corner }
  | { name: 'turn'; from: number }
  | { name: 'lasso'; x: number; y: number };

const KEEPS_PROPORTIONS = new Set(['image', 'sign', 'prop']);
const PLACED = new Set<Tool['name']>(['text', 'note', 'sign']);
/** Degrees that a turn snaps to while Shift is held. */
const SNAP = 15;

/** Turns what the hand does on the paper, with the tool it holds, into ink, shapes, selections and moves. */
export function useGestures(hands: Hands) {
  const { page, svg, zoom, tool, stick, mayDraw, marks, selection, commands, ink, shaping, polygon, erasing } = hands;
  const drag = useRef<Drag | null>(null);
  const [lasso, setLasso] = useState<Box | null>(null);
  const [pointers] = useState(() => new Pointers());

  const at = (event: { clientX: number; clientY: number }): [number, number] => {
    const corner = svg.current!.getBoundingClientRect();
    const { x, y, scale } = zoom.view;
    return [x + (event.clientX - corner.left) / scale, y + (event.clientY - corner.top) / scale];
  };
  const sample = (event: globalThis.PointerEvent): Sample => {
    const [x, y] = at(event);
    return { x, y, press: event.pointerType === 'pen' ? event.pressure : null };
  };
  const angleTo = (x: number, y: number) => {
    const { x: left, y: top, w, h } = selection.box!;
    return (Math.atan2(y - top - h / 2, x - left - w / 2) * 180) / Math.PI;
  };

  /** Ends what the hand was doing as if it had not begun. */
  function giveUp() {
    ink.cancel();
    shaping.cancel();
    erasing.cancel();
    putDown();
  }

  function putDown() {
    selection.setTarget(null);
    selection.setTurn(0);
    setLasso(null);
    drag.current = null;
  }

  // Who takes another tool, turns the page or may draw no more while a stroke is under way has drawn it so far; the server says whether
  // it may stay. What the hand does after that is no part of it.
  const { finish } = ink;
  useEffect(() => finish, [finish, tool, mayDraw, page]);

  function down(event: PointerEvent<SVGSVGElement>) {
    hands.onTouch();
    const part = pointers.down(event.nativeEvent, event.timeStamp);
    if (part === 'is nothing') return;
    if (part !== 'acts') giveUp();
    if (part === 'pinches') return;
    const [x, y] = at(event);
    if (event.button === 1 || event.button === 2) drag.current = { name: 'pan', x: event.clientX, y: event.clientY };
    else if (tool.name === 'select') pick(event, x, y);
    else if (!mayDraw) return;
    else if (stick) ink.begin(sample(event.nativeEvent), stick, page);
    else if (tool.name === 'erase') erasing.begin(event.clientX, event.clientY);
    else if (tool.name === 'shape' && tool.shape === 'polygon') return polygon.click(x, y);
    else if (tool.name === 'shape') shaping.begin(tool.shape, x, y);
    else if (PLACED.has(tool.name)) {
      event.preventDefault();
      return hands.onPlace(x, y);
    }
    event.currentTarget.setPointerCapture?.(event.pointerId);
  }

  function pick(event: PointerEvent<SVGSVGElement>, x: number, y: number) {
    const target = event.target as Element;
    const corner = target.getAttribute('data-corner') as Corner | null;
    const id = target.closest('[data-mark]')?.getAttribute('data-mark');
    if (corner) drag.current = { name: 'resize', corner };
    else if (target.hasAttribute('data-turn')) drag.current = { name: 'turn', from: angleTo(x, y) };
    else if (id || target.hasAttribute('data-frame')) {
      if (id && event.shiftKey) selection.toggle(id);
      else if (id && !selection.ids.has(id)) selection.select([id]);
      drag.current = { name: 'move', x, y };
    } else {
      selection.clear();
      drag.current = { name: 'lasso', x, y };
    }
  }

  function move(event: PointerEvent<SVGSVGElement>) {
    const spread = pointers.pinch(event.nativeEvent);
    if (spread) return pinched(spread);
    if (!pointers.moves(event.nativeEvent, event.timeStamp)) return;
    if (ink.active()) {
      const samples = event.nativeEvent.getCoalescedEvents?.() ?? [];
      return ink.extend((samples.length > 0 ? samples : [event.nativeEvent]).map(sample));
    }
    const [x, y] = at(event);
    if (shaping.draft) return shaping.extend(x, y);
    if (tool.name === 'erase') return void erasing.extend(event.clientX, event.clientY);
    if (polygon.corners.length > 0) return polygon.setHand([x, y]);
    if (tool.name === 'point' && mayDraw) return hands.point(x, y);
    dragged(event, x, y);
  }

  function pinched({ dx, dy, factor, x, y }: Pinch) {
    const corner = svg.current!.getBoundingClientRect();
    zoom.pan(dx, dy);
    zoom.zoom(factor, x - corner.left, y - corner.top);
  }

  function dragged(event: PointerEvent, x: number, y: number) {
    const now = drag.current;
    const { box, single } = selection;
    if (now?.name === 'pan') {
      zoom.pan(now.x - event.clientX, now.y - event.clientY);
      drag.current = { name: 'pan', x: event.clientX, y: event.clientY };
    } else if (now?.name === 'lasso') {
      setLasso({ x: Math.min(x, now.x), y: Math.min(y, now.y), w: Math.abs(x - now.x), h: Math.abs(y - now.y) });
    } else if (!box || !now) return;
    else if (now.name === 'move') selection.setTarget({ ...box, x: box.x + x - now.x, y: box.y + y - now.y });
    else if (now.name === 'turn') {
      const degrees = angleTo(x, y) - now.from;
      selection.setTurn(event.shiftKey ? Math.round(degrees / SNAP) * SNAP : Math.round(degrees));
    } else {
      const keep = !event.shiftKey && selection.selected.some((mark) => KEEPS_PROPORTIONS.has(mark.kind));
      const angle = single?.angle;
      selection.setTarget(angle ? resizedTurned(box, angle, x, y, keep) : resized(box, now.corner, x, y, keep));
    }
  }

  function up(event: PointerEvent<SVGSVGElement>) {
    if (!pointers.up(event)) return;
    // A finger that the system takes away was no writing; a pen's stroke is kept.
    if (event.type === 'pointercancel' && event.pointerType !== 'pen') return giveUp();
    ink.finish();
    shaping.finish();
    erasing.finish();
    if (lasso) selection.select(marks.filter((mark) => meets(boundsOf(mark), lasso)).map((mark) => mark.id));
    if (selection.target) commands.change(selection.changesTo(selection.target));
    if (selection.turn !== 0) commands.change(selection.changesTurned(selection.turn));
    putDown();
  }

  useWheel(svg, zoom);

  return { lasso, at, down, move, up };
}
