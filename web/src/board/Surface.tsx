import Box from '@mui/material/Box';
import { useCallback, useEffect, useMemo, useRef, useState, type DragEvent, type ReactNode } from 'react';
import type { Mark, Stick } from '../api/shapes';
import { PAPER } from '../api/contracts';
import type { BoardState, NewMark } from '../live/board';
import { heightOf } from './geometry/boxes';
import { Marks } from './page/Marks';
import { marksOf } from './page/marksOf';
import { PageGround } from './page/PageView';
import { Regions } from './others/Regions';
import { PropControls } from './props/PropControls';
import { SelectionFrame } from './selection/SelectionFrame';
import type { Ink } from './ledge/sticks';
import { TextEditor } from './writing/TextEditor';
import { useWriting } from './writing/useWriting';
import { CURSORS, SELECT, type Tool } from './hand/tools';
import type { BoardCommands } from './useBoardCommands';
import { useBoardKeys } from './useBoardKeys';
import { useClipboard } from './selection/useClipboard';
import { Drafts } from './hand/Drafts';
import { shapeAt, signAt, textAt } from './hand/placing';
import { useGestures } from './hand/useGestures';
import { useInstruments } from './hand/useInstruments';
import { mayChange, mayMove } from './selection/mayChange';
import { useMarkActions, type MarkActions } from './selection/useMarkActions';
import { useReached } from './others/useReached';
import { useSelection, type Selection } from './selection/useSelection';
import { useWanted } from './selection/useWanted';
import { useWalk } from './hand/useWalk';
import type { useView } from './hand/useView';
import { WhoDrew } from './others/WhoDrew';

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
  /** Whether one may change what others put on the board. */
  mayArrange: boolean;
  /** Why not, when one may not use props. */
  propsReason: string | null;
  tool: Tool;
  stick: Stick | null;
  ink: Ink;
  onTool: (tool: Tool) => void;
  commands: BoardCommands;
  /** What others do on the page this moment, to be drawn above its marks. */
  others?: ReactNode;
  view: Omit<ReturnType<typeof useView>, 'holder'>;
  /** The one person whose marks stand out. */
  only?: string | null;
  /** Marks to be chosen as soon as they are there; another list chooses anew. */
  wanted: readonly string[];
  onFiles: (files: File[], at: [number, number]) => void;
  children?: (hold: Hold) => ReactNode;
}

/** The paper: shows a page and turns what the hand does with the present tool into commands. */
export function Surface(props: Props) {
  const {
    title,
    board,
    page,
    me,
    mayDraw,
    mayArrange,
    propsReason,
    tool,
    stick,
    ink,
    onTool,
    commands,
    view: zoom,
  } = props;
  const { view, size } = zoom;
  const svg = useRef<SVGSVGElement>(null);
  const wet = useRef<SVGPathElement>(null);
  const [reached, setReached] = useReached();
  const [pointer, setPointer] = useState<[number, number] | null>(null);

  const marks = useMemo(() => marksOf({ marks: board.marks }, page), [board.marks, page]);
  const height = useMemo(() => heightOf(board, page), [board, page]);
  const selecting = tool.name === 'select';
  const mayProp = propsReason === null;
  const who = useMemo(() => ({ me, mayDraw, mayArrange, mayProp }), [me, mayDraw, mayArrange, mayProp]);
  const selection = useSelection(
    marks,
    useCallback((mark: Mark) => mayMove(who, mark), [who]),
  );
  const actions = useMarkActions(
    selection,
    commands,
    useCallback((mark: Mark) => mayChange(who, mark), [who]),
  );
  const { clear, select } = selection;

  const put = useCallback((mark: NewMark) => void commands.put(mark), [commands]);
  const instruments = useInstruments({ board, page, ink, who, commands, wet });
  const { polygon, erasing, trail } = instruments;
  const middle = (): [number, number] => [view.x + size.width / view.scale / 2, view.y + size.height / view.scale / 2];

  useEffect(() => clear(), [page, selecting, clear]);
  const { cancel } = polygon;
  useEffect(() => cancel(), [page, tool, cancel]);
  useWanted(props.wanted, board, page, selecting, select);

  const { writing, ...write } = useWriting(page, ink, commands, () => onTool(SELECT));
  const place = (x: number, y: number) => {
    if (tool.name === 'text' || tool.name === 'note') write.begin(tool.name, x, y);
    else if (tool.name === 'sign') put(signAt({ page, ink }, tool.sign, x, y));
  };
  const rewrite = (mark: Mark | null) => mark && mayMove(who, mark) && mark.text !== undefined && write.rewrite(mark);

  const gestures = useGestures({
    page,
    svg,
    zoom,
    tool: writing ? SELECT : tool,
    stick: writing ? null : stick,
    mayDraw,
    marks,
    selection,
    commands,
    ...instruments,
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
    else if (tool.name === 'shape') put(shapeAt({ page, ink }, tool.shape, x, y));
    else if (tool.name === 'sign') place(x, y);
    else place(x - 150, y - 40);
  }
  const walk = useWalk(svg, marks);
  const key = useBoardKeys({ walk, marks, selecting, selection, actions, commands, zoom, onEnter: enter });

  useClipboard({
    page,
    mayDraw,
    selected: selection.selected,
    middle,
    onPut: (made) => {
      void commands.put(...made);
      onTool(SELECT);
    },
    onText: (words) => put(textAt({ page, ink }, words, ...middle())),
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
        onKeyDown={key}
        onFocus={walk.onFocus}
        onBlur={walk.onBlur}
      >
        <PageGround height={height} ground={board.facts.get(page)?.ground} />
        <Regions page={page} />
        <Marks
          marks={marks}
          authors={board.authors}
          pickable={selecting || tool.name === 'erase'}
          onReach={setReached}
          stop={walk.stop}
          fading={erasing.fading}
          only={props.only}
        />
        {props.others}
        <path ref={wet} pointerEvents="none" strokeLinecap="round" strokeLinejoin="round" />
        <SelectionFrame selection={selection} scale={view.scale} />
        <Drafts
          {...instruments}
          ink={ink}
          scale={view.scale}
          lasso={gestures.lasso}
          pointer={tool.name === 'point' ? pointer : null}
        />
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
      {writing && (
        <TextEditor key={writing.mark.id} mark={writing.mark} view={view} onDone={write.done} onLeft={walk.toPaper} />
      )}
      {!writing && props.children?.({ selection, actions, rewrite: () => rewrite(selection.single) })}
    </Box>
  );
}
