import Box from '@mui/material/Box';
import {
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type PointerEvent,
  type ReactNode,
} from 'react';
import { INKS, PAPER, WASHES } from '../api/contracts';
import { newId } from '../live/LiveClient';
import type { BoardState, Mark, NewMark } from '../live/board';
import { boxOf, meets, round, type Box as PageBox } from './boxes';
import { Glimpsed, PointerGlow } from './Glimpsed';
import { MarkShape } from './MarkShape';
import { Marks } from './Marks';
import { PageGround } from './PageView';
import { resized, SelectionFrame, type Corner } from './SelectionFrame';
import { SelectionBar } from './SelectionBar';
import { SELECT, STICKS, type Ink, type Tool } from './sticks';
import { TextEditor } from './TextEditor';
import type { BoardCommands } from './useBoardCommands';
import type { Glimpses } from './useGlimpses';
import { useInk } from './useInk';
import { usePointerTrail } from './usePointerTrail';
import { useSelection } from './useSelection';
import { shapeBetween, useShaping } from './useShaping';
import type { useView } from './useView';
import { useReached } from './useReached';
import { WhoDrew } from './WhoDrew';

interface Props {
  title: string;
  board: BoardState;
  page: string;
  me: { id: string; staff: boolean };
  mayDraw: boolean;
  tool: Tool;
  ink: Ink;
  onTool: (tool: Tool) => void;
  commands: BoardCommands;
  glimpses: Glimpses;
  names: ReadonlyMap<string, string>;
  view: Omit<ReturnType<typeof useView>, 'holder'>;
  children?: ReactNode;
}

type Drag =
  | { name: 'pan'; x: number; y: number }
  | { name: 'move'; x: number; y: number }
  | { name: 'resize'; corner: Corner }
  | { name: 'lasso'; x: number; y: number };

const TEXT = { size: 32, w: 420 };
const NOTE = { size: 26, w: 300, h: 110 };
const NUDGE = 8;

/**
 * The paper: shows a page and turns what the hand does with the present tool into commands.
 * Everything that has to keep up with the hand happens outside of React (see `useInk`).
 */
export function Surface({
  title,
  board,
  page,
  me,
  mayDraw,
  tool,
  ink,
  onTool,
  commands,
  glimpses,
  names,
  view: zoom,
  children,
}: Props) {
  const { view, size } = zoom;
  const svg = useRef<SVGSVGElement>(null);
  const wet = useRef<SVGPathElement>(null);
  const drag = useRef<Drag | null>(null);
  const [lasso, setLasso] = useState<PageBox | null>(null);
  const [reached, setReached] = useReached();
  const [writing, setWriting] = useState<{ mark: NewMark; fresh: boolean } | null>(null);
  const [pointer, setPointer] = useState<[number, number] | null>(null);

  const marks = useMemo(
    () => [...board.marks.values()].filter((mark) => mark.page === page).sort((a, b) => a.z - b.z),
    [board.marks, page],
  );
  const stick = tool.name === 'stick' ? STICKS[tool.index]! : null;
  const selecting = tool.name === 'select';
  const mayMove = useCallback((mark: Mark) => mayDraw && (!mark.locked || me.staff), [mayDraw, me.staff]);
  const selection = useSelection(marks, mayMove);
  const { select } = selection;

  const put = useCallback((mark: NewMark) => void commands.put(mark), [commands]);
  const inkHand = useInk(wet, page, {
    onStroke: put,
    onGlimpse: useCallback((body) => commands.glimpse('ink', body), [commands]),
  });
  const shaping = useShaping(page, put);
  const point = usePointerTrail({
    onGlimpse: useCallback((x, y) => commands.glimpse('pointer', { page, x, y }), [commands, page]),
    onTrail: useCallback((path) => void commands.trail(page, path), [commands, page]),
  });

  useEffect(() => select([]), [page, selecting, select]);

  const at = (event: { clientX: number; clientY: number }): [number, number] => {
    const corner = svg.current!.getBoundingClientRect();
    return [view.x + (event.clientX - corner.left) / view.scale, view.y + (event.clientY - corner.top) / view.scale];
  };

  const write = (kind: 'text' | 'note', x: number, y: number) =>
    setWriting({
      fresh: true,
      mark: { id: newId(), page, kind, x: round(x), y: round(y), ink, text: '', ...(kind === 'text' ? TEXT : NOTE) },
    });

  function pressed(event: PointerEvent<SVGSVGElement>) {
    setReached(null);
    if (event.button === 1 || event.button === 2) drag.current = { name: 'pan', x: event.clientX, y: event.clientY };
    else if (writing) return;
    else if (stick && mayDraw) inkHand.begin(...at(event));
    else if (tool.name === 'shape' && mayDraw) shaping.begin(tool.shape, ink, ...at(event));
    else if ((tool.name === 'text' || tool.name === 'note') && mayDraw) {
      event.preventDefault();
      return write(tool.name, ...at(event));
    } else if (selecting) pick(event);
    event.currentTarget.setPointerCapture(event.pointerId);
  }

  function pick(event: PointerEvent<SVGSVGElement>) {
    const target = event.target as Element;
    const [x, y] = at(event);
    const corner = target.getAttribute('data-corner') as Corner | null;
    const id = target.closest('[data-mark]')?.getAttribute('data-mark');
    if (corner) drag.current = { name: 'resize', corner };
    else if (id || target.hasAttribute('data-frame')) {
      if (id && event.shiftKey) selection.toggle(id);
      else if (id && !selection.ids.has(id)) select([id]);
      drag.current = { name: 'move', x, y };
    } else {
      select([]);
      drag.current = { name: 'lasso', x, y };
    }
  }

  function moved(event: PointerEvent<SVGSVGElement>) {
    if (inkHand.active()) {
      const samples = event.nativeEvent.getCoalescedEvents?.() ?? [];
      return inkHand.extend((samples.length > 0 ? samples : [event.nativeEvent]).map(at), stick!);
    }
    const [x, y] = at(event);
    if (shaping.draft) return shaping.extend(x, y);
    if (tool.name === 'point' && mayDraw) {
      setPointer([x, y]);
      return point(x, y);
    }
    dragged(event, x, y);
  }

  function dragged(event: PointerEvent<SVGSVGElement>, x: number, y: number) {
    const now = drag.current;
    if (now?.name === 'pan') {
      zoom.pan(now.x - event.clientX, now.y - event.clientY);
      drag.current = { name: 'pan', x: event.clientX, y: event.clientY };
    } else if (now?.name === 'lasso') {
      setLasso({ x: Math.min(x, now.x), y: Math.min(y, now.y), w: Math.abs(x - now.x), h: Math.abs(y - now.y) });
    } else if (now?.name === 'move' && selection.box) {
      selection.setTarget({ ...selection.box, x: selection.box.x + x - now.x, y: selection.box.y + y - now.y });
    } else if (now?.name === 'resize' && selection.box) {
      selection.setTarget(resized(selection.box, now.corner, x, y));
    }
  }

  function released() {
    if (stick) inkHand.finish(stick);
    shaping.finish();
    if (lasso) select(marks.filter((mark) => meets(boxOf(mark), lasso)).map((mark) => mark.id));
    if (selection.target) commands.change(selection.changesTo(selection.target));
    selection.setTarget(null);
    setLasso(null);
    drag.current = null;
  }

  function wheel(event: React.WheelEvent) {
    const corner = svg.current!.getBoundingClientRect();
    if (event.ctrlKey || event.metaKey)
      zoom.zoom(Math.exp(-event.deltaY / 300), event.clientX - corner.left, event.clientY - corner.top);
    else zoom.pan(event.deltaX, event.deltaY);
  }

  const takeOff = () => {
    commands.remove(selection.movable.filter((mark) => me.staff || mark.by === me.id).map((mark) => mark.id));
    select([]);
  };
  const rewrite = (mark: Mark) => mayMove(mark) && mark.text !== undefined && setWriting({ mark, fresh: false });

  function key(event: KeyboardEvent) {
    const arrows: Record<string, [number, number]> = {
      ArrowLeft: [-1, 0],
      ArrowRight: [1, 0],
      ArrowUp: [0, -1],
      ArrowDown: [0, 1],
    };
    const arrow = arrows[event.key];
    const focused = (event.target as Element).getAttribute('data-mark');
    if (event.key === ' ' && focused) selection.toggle(focused);
    else if (event.key === 'Enter') enter(focused);
    else if ((event.key === 'Delete' || event.key === 'Backspace') && selection.box) takeOff();
    else if (arrow && selection.box) {
      const { x, y, w, h } = selection.box;
      commands.change(selection.changesTo({ x: x + arrow[0] * NUDGE, y: y + arrow[1] * NUDGE, w, h }));
    } else if (arrow) zoom.pan(arrow[0] * 60, arrow[1] * 60);
    else if (event.key === 'a' && (event.ctrlKey || event.metaKey) && selecting) select(marks.map((mark) => mark.id));
    else return;
    event.preventDefault();
  }

  /** By keyboard alone: Enter puts the present tool's mark in the middle of what is seen. */
  function enter(focused: string | null) {
    const [x, y] = [view.x + size.width / view.scale / 2, view.y + size.height / view.scale / 2];
    const single = selection.selected.length === 1 ? selection.selected[0] : undefined;
    if (selecting && focused && !selection.ids.has(focused)) select([focused]);
    else if (selecting && single) rewrite(single);
    else if (!mayDraw) return;
    else if (tool.name === 'text' || tool.name === 'note') write(tool.name, x - 150, y - 40);
    else if (tool.name === 'shape')
      put(shapeBetween(tool.shape, ink, page, newId(), [x - 120, y - 70], [x + 120, y + 70]));
  }

  function written(text: string) {
    if (!writing) return;
    const { mark, fresh } = writing;
    setWriting(null);
    if (fresh && text.trim()) put({ ...mark, text });
    else if (!fresh && text !== mark.text) commands.change([{ id: mark.id, set: { text } }]);
    if (fresh) onTool(SELECT);
  }

  const recolour = (to: Ink) => commands.change(selection.movable.map(({ id }) => ({ id, set: { ink: to } })));
  const lock = (locked: boolean) => commands.change(selection.selected.map(({ id }) => ({ id, set: { locked } })));
  const cursor = {
    select: 'default',
    point: 'none',
    text: 'text',
    note: 'copy',
    stick: 'crosshair',
    shape: 'crosshair',
  }[tool.name];

  return (
    <Box sx={{ position: 'absolute', inset: 0, overflow: 'hidden', bgcolor: PAPER }}>
      <svg
        ref={svg}
        data-testid="paper"
        width="100%"
        height="100%"
        tabIndex={0}
        role="group"
        aria-label={`${title}, ${marks.length} marks`}
        viewBox={`${view.x} ${view.y} ${size.width / view.scale} ${size.height / view.scale}`}
        style={{
          cursor: mayDraw || selecting ? cursor : 'default',
          touchAction: 'none',
          userSelect: 'none',
          display: 'block',
          fontFamily: 'inherit',
        }}
        onPointerDown={pressed}
        onPointerMove={moved}
        onPointerUp={released}
        onPointerCancel={released}
        onPointerLeave={() => setPointer(null)}
        onDoubleClick={() => selection.selected.length === 1 && rewrite(selection.selected[0]!)}
        onContextMenu={(event) => event.preventDefault()}
        onWheel={wheel}
        onKeyDown={key}
      >
        <PageGround />
        <Marks marks={marks} authors={board.authors} pickable={selecting} onReach={setReached} />
        <Glimpsed glimpses={glimpses} page={page} names={names} scale={view.scale} />
        {shaping.draft && (
          <g transform={`translate(${shaping.draft.x} ${shaping.draft.y})`}>
            <MarkShape mark={shaping.draft} />
          </g>
        )}
        {stick && (
          <path
            ref={wet}
            fill="none"
            pointerEvents="none"
            stroke={stick.kind === 'highlight' ? WASHES[stick.ink] : INKS[stick.ink]}
            strokeWidth={stick.width}
            strokeLinecap="round"
            strokeLinejoin="round"
            style={stick.kind === 'highlight' ? { mixBlendMode: 'multiply' } : undefined}
          />
        )}
        {selecting && <SelectionFrame selection={selection} scale={view.scale} />}
        {lasso && (
          <rect
            x={lasso.x}
            y={lasso.y}
            width={lasso.w}
            height={lasso.h}
            fill="#17665E18"
            stroke="#17665E"
            vectorEffect="non-scaling-stroke"
          />
        )}
        {tool.name === 'point' && pointer && <PointerGlow x={pointer[0]} y={pointer[1]} scale={view.scale} />}
      </svg>
      {reached && !writing && (
        <WhoDrew mark={reached} author={board.authors.get(reached.by) ?? 'someone'} view={view} width={size.width} />
      )}
      {selecting && mayDraw && !writing && (
        <SelectionBar
          selection={selection}
          view={view}
          staff={me.staff}
          onInk={recolour}
          onLock={lock}
          onRemove={takeOff}
          onWrite={() => rewrite(selection.selected[0]!)}
        />
      )}
      {writing && <TextEditor mark={writing.mark} view={view} onDone={written} />}
      {children}
    </Box>
  );
}
