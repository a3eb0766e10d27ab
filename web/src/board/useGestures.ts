import { useRef, useState, type PointerEvent, type RefObject } from 'react';
import type { Mark } from '../live/board';
import { boundsOf, meets, type Box } from './boxes';
import { resized, resizedTurned, type Corner } from './SelectionFrame';
import type { Stick } from './sticks';
import type { Tool } from './tools';
import type { BoardCommands } from './useBoardCommands';
import type { useErasing } from './useErasing';
import type { Sample, useInk } from './useInk';
import { usePinch } from './usePinch';
import type { usePolygon } from './usePolygon';
import type { Selection } from './useSelection';
import type { useShaping } from './useShaping';
import type { useView } from './useView';

interface Hands {
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
  const { svg, zoom, tool, stick, mayDraw, marks, selection, commands, ink, shaping, polygon, erasing } = hands;
  const drag = useRef<Drag | null>(null);
  const [lasso, setLasso] = useState<Box | null>(null);
  const pinch = usePinch(zoom);

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

  function down(event: PointerEvent<SVGSVGElement>) {
    hands.onTouch();
    if (pinch.down(event)) return ink.cancel();
    const [x, y] = at(event);
    if (event.button === 1 || event.button === 2) drag.current = { name: 'pan', x: event.clientX, y: event.clientY };
    else if (tool.name === 'select') pick(event, x, y);
    else if (!mayDraw) return;
    else if (stick) ink.begin(sample(event.nativeEvent), stick);
    else if (tool.name === 'erase') erasing.begin(event.clientX, event.clientY);
    else if (tool.name === 'shape' && tool.shape === 'polygon') return polygon.click(x, y);
    else if (tool.name === 'shape') shaping.begin(tool.shape, x, y);
    else if (PLACED.has(tool.name)) {
      event.preventDefault();
      return hands.onPlace(x, y);
    }
    event.currentTarget.setPointerCapture(event.pointerId);
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
    if (pinch.move(event)) return;
    if (ink.active() && stick) {
      const samples = event.nativeEvent.getCoalescedEvents?.() ?? [];
      return ink.extend((samples.length > 0 ? samples : [event.nativeEvent]).map(sample), stick);
    }
    const [x, y] = at(event);
    if (shaping.draft) return shaping.extend(x, y);
    if (tool.name === 'erase') return void erasing.extend(event.clientX, event.clientY);
    if (polygon.corners.length > 0) return polygon.setHand([x, y]);
    if (tool.name === 'point' && mayDraw) return hands.point(x, y);
    dragged(event, x, y);
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
    pinch.up(event);
    if (stick) ink.finish(stick);
    shaping.finish();
    erasing.finish();
    if (lasso) selection.select(marks.filter((mark) => meets(boundsOf(mark), lasso)).map((mark) => mark.id));
    if (selection.target) commands.change(selection.changesTo(selection.target));
    if (selection.turn !== 0) commands.change(selection.changesTurned(selection.turn));
    selection.setTarget(null);
    selection.setTurn(0);
    setLasso(null);
    drag.current = null;
  }

  function wheel(event: React.WheelEvent) {
    const corner = svg.current!.getBoundingClientRect();
    if (event.ctrlKey || event.metaKey)
      zoom.zoom(Math.exp(-event.deltaY / 300), event.clientX - corner.left, event.clientY - corner.top);
    else zoom.pan(event.deltaX, event.deltaY);
  }

  return { lasso, at, down, move, up, wheel };
}
