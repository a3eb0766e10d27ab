import Box from '@mui/material/Box';
import { useContext, useMemo, useState } from 'react';
import { createPortal } from 'react-dom';
import type { BoardState, NewMark } from '../live/board';
import { useBoard, useConnection } from '../live/hooks';
import type { You } from '../live/protocol';
import { useSaving } from '../parts/useSaving';
import { useSteady } from '../parts/useSteady';
import { useShortcuts } from '../parts/useShortcuts';
import { ShelfContext } from '../shelf/ShelfContext';
import { ShelfPicker } from '../shelf/ShelfPicker';
import { heightOf } from './boxes';
import { Ledge } from './Ledge';
import { MarkTools } from './MarkTools';
import { PageStrip } from './PageStrip';
import { Earlier } from './panels/Earlier';
import { Overview } from './panels/Overview';
import { WhoDidWhat } from './panels/WhoDidWhat';
import { NewProp } from './props/NewProp';
import { SelectionBar } from './SelectionBar';
import type { Ink, Stick } from './sticks';
import { Surface, type Hold } from './Surface';
import { SELECT, type Tool } from './tools';
import { useBoardCommands } from './useBoardCommands';
import { useBringing } from './useBringing';
import { useGlimpses } from './useGlimpses';
import { useSticks } from './useSticks';
import { useView } from './useView';

interface Props {
  id: string;
  title: string;
  page: string;
  onPage: (page: string) => void;
  mayDraw: boolean;
  reason?: string | null;
  /** Where what is chosen is told, when that is not above the selection. */
  inspector?: HTMLElement | null;
  /** A mark to be chosen as soon as it is there. */
  wanted?: string | null;
  inClass?: boolean;
}

type Panel = 'people' | 'earlier' | 'overview' | 'shelf' | NonNullable<NewMark['prop']>;

const PROP_KINDS = new Set<string>(['dice', 'spinner', 'counter', 'timer', 'picker']);

/** A board with its ledge: one page of it, and everything to draw on it with. */
export function BoardPaper(props: Props) {
  const board = useBoard(props.id);
  const { you } = useConnection();
  return board && you ? <Paper {...props} board={board} you={you} /> : <Box sx={{ flex: 1 }} aria-busy />;
}

function Paper(props: Props & { board: BoardState; you: You }) {
  const { id, title, page, onPage, mayDraw, reason = null, inspector, wanted, inClass = false, board, you } = props;
  const { rights } = useConnection();
  const shelf = useContext(ShelfContext);
  const commands = useBoardCommands(id);
  const shown = board.pages.includes(page) ? page : board.pages[0]!;
  const height = useMemo(() => heightOf(board, shown), [board, shown]);
  const { holder, ...view } = useView(height);
  const { sticks, change: changeStick } = useSticks();
  const [tool, setTool] = useState<Tool>(wanted ? SELECT : { name: 'stick', index: 0 });
  const [ink, setInk] = useState<Ink>('slate');
  const [panel, setPanel] = useState<Panel | null>(null);
  const [only, setOnly] = useState<string | null>(null);
  const [chosen, setChosen] = useState<readonly string[]>(wanted ? [wanted] : []);
  const [sought, setSought] = useState(wanted);
  if (sought !== wanted) {
    setSought(wanted);
    setChosen(wanted ? [wanted] : []);
    setTool(SELECT);
  }
  const { marks } = board;
  const settled = useMemo(() => (mark: string) => marks.has(mark), [marks]);
  const glimpses = useGlimpses(id, you.id, settled);
  const saving = useSaving();
  const bringing = useBringing(shelf?.course ?? null, shown, commands);

  const take = (next: Tool) => {
    setTool(next);
    if (next.name === 'stick') setInk(sticks[next.index]!.ink);
  };
  const straightenLast = () => {
    const own = [...marks.values()].filter((mark) => mark.by === you.id && mark.kind === 'stroke');
    const last = own.reduce((best, mark) => (best && best.z > mark.z ? best : mark), own[0]);
    if (last && mayDraw) void commands.straighten([last.id]);
  };

  useShortcuts({
    ...Object.fromEntries(sticks.map((_, index) => [String(index + 1), () => take({ name: 'stick', index })])),
    v: () => setTool(SELECT),
    t: () => setTool({ name: 'text' }),
    n: () => setTool({ name: 'note' }),
    x: () => setTool({ name: 'erase' }),
    s: straightenLast,
    '.': () => setTool({ name: 'point' }),
    Escape: () => setTool(SELECT),
    'Ctrl+z': () => mayDraw && void commands.undo(),
    'Ctrl+Shift+z': () => mayDraw && void commands.redo(),
  });

  const number = board.pages.indexOf(shown) + 1;
  const [cx, cy] = [
    view.view.x + view.size.width / view.view.scale / 2,
    view.view.y + view.size.height / view.view.scale / 2,
  ];
  const grows = board.facts.get(shown)?.grows ?? false;
  const propsReason =
    mayDraw && rights?.props?.allowed !== false ? null : (rights?.props?.says ?? reason ?? 'Not now.');
  const save = (name: string, address: string): [string, () => void] => [name, () => saving.save(address)];
  const more: [string, () => void][] = [
    ['All pages', () => setPanel('overview')],
    ['Who drew what', () => setPanel('people')],
    ...(you.staff ? ([['Look back', () => setPanel('earlier')]] as [string, () => void][]) : []),
    ...(you.staff && mayDraw
      ? ([
          ['Add a page', () => void commands.addPage(shown).then((fresh) => fresh && onPage(fresh))],
          [grows ? 'Keep the page at its size' : 'Let the page grow', () => void commands.setGrows(shown, !grows)],
          ['Clear this page', () => void commands.clear(shown)],
        ] as [string, () => void][])
      : []),
    save('Save the board as PDF', `/api/boards/${id}.pdf`),
    save('Save the page as SVG', `/api/boards/${id}/${shown}.svg`),
    save('Save the page as PNG', `/api/boards/${id}/${shown}.png`),
  ];
  const acts = useSteady({
    onTool: take,
    onStick: (index: number, stick: Stick) => {
      changeStick(index, stick);
      setInk(stick.ink);
    },
    onProp: (kind: NonNullable<NewMark['prop']>) => setPanel(kind),
    onShelf: () => setPanel('shelf'),
    onUndo: () => void commands.undo(),
    onRedo: () => void commands.redo(),
    onPage: (next: number) => onPage(board.pages[next - 1]!),
    onZoom: (factor: number) => view.zoom(factor),
    onFit: () => view.fit(),
    onMore: (index: number) => more[index]?.[1](),
  });
  const tools = (hold: Hold) => {
    const whose = { staff: you.staff, me: you.id, authors: board.authors };
    if (inspector === undefined) return <SelectionBar {...hold} {...whose} view={view.view} width={view.size.width} />;
    return inspector && createPortal(<MarkTools {...hold} {...whose} />, inspector);
  };

  return (
    <Box sx={{ flex: 1, minHeight: 0, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
      <Box
        ref={holder}
        sx={{
          flex: 1,
          minHeight: 0,
          position: 'relative',
          border: 1,
          borderBottom: 0,
          borderColor: 'divider',
          borderRadius: '10px 10px 0 0',
          overflow: 'hidden',
        }}
      >
        <Surface
          title={title}
          board={board}
          page={shown}
          me={you}
          mayDraw={mayDraw}
          propsReason={propsReason}
          tool={mayDraw ? tool : SELECT}
          stick={mayDraw && tool.name === 'stick' ? (sticks[tool.index] ?? null) : null}
          ink={ink}
          onTool={take}
          commands={commands}
          glimpses={glimpses}
          view={view}
          only={panel === 'people' ? only : null}
          wanted={chosen}
          onFiles={(files, at) => void bringing.bring(files, at)}
        >
          {tools}
        </Surface>
        {(bringing.says ?? saving.says) && (
          <Box
            role="status"
            sx={{
              position: 'absolute',
              left: 12,
              bottom: 10,
              px: 1.25,
              py: 0.75,
              bgcolor: 'background.paper',
              border: 1,
              borderColor: 'divider',
              borderRadius: 1,
            }}
          >
            {bringing.says ?? saving.says}
          </Box>
        )}
        {panel === 'people' && (
          <WhoDidWhat
            board={board}
            page={shown}
            staff={you.staff && mayDraw}
            only={only}
            onOnly={setOnly}
            onTakeOff={(person) => void commands.clear(shown, person)}
            onChoose={(ids) => {
              setTool(SELECT);
              setChosen(ids);
            }}
            onClose={() => setPanel(null)}
          />
        )}
        {panel === 'earlier' && (
          <Earlier
            board={id}
            page={shown}
            authors={board.authors}
            onBringBack={(seq) => void commands.bringBack(shown, seq).then(() => setPanel(null))}
            onClose={() => setPanel(null)}
          />
        )}
      </Box>
      {board.facts.size > 1 && <PageStrip board={board} page={shown} onPage={onPage} />}
      <Ledge
        acts={acts}
        tool={tool}
        sticks={sticks}
        mayDraw={mayDraw}
        reason={reason}
        mayProp={propsReason === null}
        hasShelf={shelf !== null && you.staff}
        done={board.undo.get(you.id)?.done ?? 0}
        undone={board.undo.get(you.id)?.undone ?? 0}
        number={number}
        count={board.pages.length}
        fits={view.fits}
        more={more.map(([name]) => name).join('\n')}
      />
      {panel === 'overview' && <Overview board={board} page={shown} onPage={onPage} onClose={() => setPanel(null)} />}
      {panel === 'shelf' && shelf && (
        <ShelfPicker
          course={shelf.course}
          onClose={() => setPanel(null)}
          onSlide={(material, slide) => {
            bringing.place(material, slide, [cx, cy]);
            setPanel(null);
            setTool(SELECT);
          }}
        />
      )}
      {panel && PROP_KINDS.has(panel) && (
        <NewProp
          kind={panel as NonNullable<NewMark['prop']>}
          inClass={inClass}
          onClose={() => setPanel(null)}
          onPut={(facts) => {
            bringing.put(facts, [cx, cy]);
            setPanel(null);
            setTool(SELECT);
          }}
        />
      )}
    </Box>
  );
}
