import Box from '@mui/material/Box';
import { useCallback, useEffect, useMemo, useRef, useState, type DragEvent, type ReactNode } from 'react';
import { PAPER, WASHES } from '../api/contracts';
import type { BoardState, Mark, NewMark } from '../live/board';
import { newId } from '../live/LiveClient';
import { heightOf, round } from './boxes';
import { Glimpsed, PointerGlow } from './Glimpsed';
import { Marks } from './Marks';
import { PageGround } from './PageView';
import { PolygonDraft } from './PolygonDraft';
import { PropControls } from './props/PropControls';
import { SelectionFrame } from './SelectionFrame';
import type { Ink, Stick } from './sticks';
import { TextEditor } from './TextEditor';
import { CURSORS, SELECT, SIGN_SIZE, type Tool } from './tools';
import type { BoardCommands } from './useBoardCommands';
import { useBoardKeys } from './useBoardKeys';
import { useClipboard } from './useClipboard';
import { useErasing } from './useErasing';
import { useGestures } from './useGestures';
import type { Glimpses } from './useGlimpses';
import { useInk } from './useInk';
import { useMarkActions, type MarkActions } from './useMarkActions';
import { usePointerTrail } from './usePointerTrail';
import { usePolygon } from './usePolygon';
import { useReached } from './useReached';
import { useSelection, type Selection } from './useSelection';
import { shapeBetween, useShaping } from './useShaping';
import type { useView } from './useView';
import { MarkShape } from './MarkShape';
import { WhoDrew } from './WhoDrew';

/** What surfaces lend to whoever shows what can be done with the selection. */
export interface Hold {
  selection: Selection;
  actions: MarkActions;
  rewrite: () => void;
}

interface Props {
  title: string;
  board: BoardState;
  page: string;
  me: { id: string; staff: boolean };
  mayDraw: boolean;
  /** Why not, when one may not use props. */
  propsReason: string | null;
  tool: Tool;
  stick: Stick | null;
  ink: Ink;
  onTool: (tool: Tool) => void;
  commands: BoardCommands;
  glimpses: Glimpses;
  view: Omit<ReturnType<typeof useView>, 'holder'>;
  /** The one person whose marks stand out. */
  only?: string | null;
  /** Marks to be chosen as soon as they are there; another list chooses anew. */
  wanted: readonly string[];
  onFiles: (files: File[], at: [number, number]) => void;
  children?: (hold: Hold) => ReactNode;
}

const TEXT = { size: 32, w: 460 };
const NOTE = { size: 30, w: 320, h: 120 };

/** The paper: shows a page and turns what the hand does with the present tool into commands. */
export function Surface(props: Props) {
  const { title, board, page, me, mayDraw, tool, stick, ink, onTool, commands, glimpses, view: zoom } = props;
  const { view, size } = zoom;
  const svg = useRef<SVGSVGElement>(null);
  const wet = useRef<SVGPathElement>(null);
  const [reached, setReached] = useReached();
  const [writing, setWriting] = useState<{ mark: NewMark; fresh: boolean } | null>(null);
  const [pointer, setPointer] = useState<[number, number] | null>(null);

  const marks = useMemo(
    () => [...board.marks.values()].filter((mark) => mark.page === page).sort((a, b) => a.z - b.z),
    [board.marks, page],
  );
  const height = useMemo(() => heightOf(board, page), [board, page]);
  const selecting = tool.name === 'select';
  const mayMove = useCallback((mark: Mark) => mayDraw && (!mark.locked || me.staff), [mayDraw, me.staff]);
  const selection = useSelection(marks, mayMove);
  const actions = useMarkActions(selection, commands, me);
  const { clear, select } = selection;

  const put = useCallback((mark: NewMark) => void commands.put(mark), [commands]);
  const inkHand = useInk(wet, page, {
    onStroke: put,
    onGlimpse: useCallback((body) => commands.glimpse('ink', body), [commands]),
  });
  const shaping = useShaping(page, ink, put);
  const polygon = usePolygon(page, ink, put);
  const erasing = useErasing(
    useCallback(
      (id: string) => {
        const mark = board.marks.get(id);
        return !!mark && (me.staff || (mark.by === me.id && !mark.locked));
      },
      [board.marks, me.id, me.staff],
    ),
    useCallback((ids: string[]) => commands.remove(ids), [commands]),
  );
  const trail = usePointerTrail({
    onGlimpse: useCallback((x, y) => commands.glimpse('pointer', { page, x, y }), [commands, page]),
    onTrail: useCallback((path) => void commands.trail(page, path), [commands, page]),
  });
  const middle = (): [number, number] => [view.x + size.width / view.scale / 2, view.y + size.height / view.scale / 2];

  useEffect(() => clear(), [page, selecting, clear]);
  const { cancel } = polygon;
  useEffect(() => cancel(), [page, tool, cancel]);
  const { wanted } = props;
  const given = useRef<readonly string[]>(null);
  useEffect(() => {
    if (given.current === wanted || !selecting) return;
    if (wanted.some((id) => board.marks.get(id)?.page !== page)) return;
    select(wanted);
    given.current = wanted;
  }, [wanted, selecting, board.marks, page, select]);

  const write = (kind: 'text' | 'note', x: number, y: number, text = '') =>
    setWriting({
      fresh: true,
      mark: { id: newId(), page, kind, x: round(x), y: round(y), ink, text, ...(kind === 'text' ? TEXT : NOTE) },
    });
  const place = (x: number, y: number) => {
    if (tool.name === 'text' || tool.name === 'note') return write(tool.name, x, y);
    if (tool.name !== 'sign') return;
    const [left, top] = [round(x - SIGN_SIZE / 2), round(y - SIGN_SIZE / 2)];
    const shape = { w: SIGN_SIZE, h: SIGN_SIZE, sign: tool.sign };
    put({ id: newId(), page, kind: 'sign', x: left, y: top, ink, ...shape });
  };
  const rewrite = (mark: Mark | null) =>
    mark && mayMove(mark) && mark.text !== undefined && setWriting({ mark, fresh: false });

  const gestures = useGestures({
    svg,
    zoom,
    tool: writing ? SELECT : tool,
    stick: writing ? null : stick,
    mayDraw,
    marks,
    selection,
    commands,
    ink: inkHand,
    shaping,
    polygon,
    erasing,
    point: (x, y) => {
      setPointer([x, y]);
      trail(x, y);
    },
    onPlace: place,
    onTouch: () => setReached(null),
  });

  /** By keyboard alone: Enter puts the present tool's mark in the middle of what is seen. */
  function enter(focused: string | null) {
    const [x, y] = middle();
    if (selecting && focused && !selection.ids.has(focused)) select([focused]);
    else if (selecting && selection.single) rewrite(selection.single);
    else if (!mayDraw) return;
    else if (polygon.corners.length > 0) polygon.close();
    else if (tool.name === 'text' || tool.name === 'note') write(tool.name, x - 150, y - 40);
    else if (tool.name === 'sign') place(x, y);
    else if (tool.name === 'shape' && tool.shape !== 'polygon')
      put(shapeBetween(tool.shape, ink, page, newId(), [x - 120, y - 70], [x + 120, y + 70]));
    else if (tool.name === 'shape') {
      const points = [0, 0, 120, 210, -120, 210];
      put({ id: newId(), page, kind: 'polygon', x: round(x), y: round(y - 100), ink, width: 4, points });
    }
  }
  const key = useBoardKeys({ marks, selecting, selection, actions, commands, zoom, onEnter: enter });

  function written(text: string) {
    if (!writing) return;
    const { mark, fresh } = writing;
    setWriting(null);
    if (fresh && text.trim()) put({ ...mark, text });
    else if (!fresh && text !== mark.text) commands.change([{ id: mark.id, set: { text } }]);
    if (fresh) onTool(SELECT);
  }

  useClipboard({
    page,
    mayDraw,
    selected: selection.selected,
    middle,
    onPut: (made) => {
      void commands.put(...made);
      onTool(SELECT);
    },
    onText: (text) => {
      const [x, y] = middle();
      put({
        id: newId(),
        page,
        kind: 'text',
        x: round(x - 230),
        y: round(y - 60),
        ink,
        text: text.slice(0, 4000),
        ...TEXT,
      });
    },
    onFiles: (files) => props.onFiles(files, middle()),
    onCut: actions.takeOff,
  });
  const dropped = (event: DragEvent) => {
    event.preventDefault();
    if (mayDraw && event.dataTransfer.files.length > 0)
      props.onFiles([...event.dataTransfer.files], gestures.at(event));
  };

  const props_ = marks.filter((mark) => mark.kind === 'prop');
  return (
    <Box
      sx={{ position: 'absolute', inset: 0, overflow: 'hidden', bgcolor: PAPER }}
      onDragOver={(event) => event.preventDefault()}
      onDrop={dropped}
    >
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
          cursor: mayDraw || selecting ? CURSORS[tool.name] : 'default',
          touchAction: 'none',
          userSelect: 'none',
          display: 'block',
          fontFamily: 'inherit',
        }}
        onPointerDown={gestures.down}
        onPointerMove={gestures.move}
        onPointerUp={gestures.up}
        onPointerCancel={gestures.up}
        onPointerLeave={() => setPointer(null)}
        onDoubleClick={() => rewrite(selection.single)}
        onContextMenu={(event) => event.preventDefault()}
        onWheel={gestures.wheel}
        onKeyDown={key}
      >
        <PageGround height={height} ground={board.facts.get(page)?.ground} />
        <Marks
          marks={marks}
          authors={board.authors}
          pickable={selecting || tool.name === 'erase'}
          onReach={setReached}
          fading={erasing.fading}
          only={props.only}
        />
        <Glimpsed glimpses={glimpses} page={page} names={board.authors} scale={view.scale} />
        {shaping.draft && (
          <g transform={`translate(${shaping.draft.x} ${shaping.draft.y})`}>
            <MarkShape mark={shaping.draft} />
          </g>
        )}
        <PolygonDraft corners={polygon.corners} hand={polygon.hand} ink={ink} scale={view.scale} />
        {stick && (
          <path
            ref={wet}
            fill="none"
            pointerEvents="none"
            stroke={WASHES[stick.ink]}
            strokeWidth={stick.width}
            strokeLinecap="round"
            strokeLinejoin="round"
            style={stick.kind === 'highlight' ? { mixBlendMode: 'multiply' } : undefined}
          />
        )}
        <SelectionFrame selection={selection} scale={view.scale} />
        {gestures.lasso && (
          <rect
            {...{ x: gestures.lasso.x, y: gestures.lasso.y, width: gestures.lasso.w, height: gestures.lasso.h }}
            fill="#17665E"
            fillOpacity={0.08}
            stroke="#17665E"
            strokeDasharray="4 4"
            vectorEffect="non-scaling-stroke"
          />
        )}
        {pointer && tool.name === 'point' && <PointerGlow x={pointer[0]} y={pointer[1]} scale={view.scale} />}
      </svg>
      {props_.map((mark) => (
        <PropControls
          key={mark.id}
          mark={mark}
          view={view}
          reason={props.propsReason}
          onUse={(action) => void commands.use(mark.id, action)}
        />
      ))}
      {reached && !writing && board.marks.has(reached.id) && (
        <WhoDrew mark={reached} author={board.authors.get(reached.by) ?? '…'} view={view} width={size.width} />
      )}
      {writing && <TextEditor mark={writing.mark} view={view} onDone={written} />}
      {!writing && props.children?.({ selection, actions, rewrite: () => rewrite(selection.single) })}
    </Box>
  );
}
