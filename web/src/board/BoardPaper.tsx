import Box from '@mui/material/Box';
import { lazy, Suspense, useContext, useMemo, useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { isLocked, type BoardState, type NewMark } from '../live/board';
import { useBoard, useConnection, useRights } from '../live/hooks';
import { boardStream } from '../live/streams';
import type { You } from '../api/shapes';
import { useSaving } from '../parts/hooks/useSaving';
import { useSteady } from '../parts/hooks/useSteady';
import { ShelfContext } from '../shelf/ShelfContext';
import { heightOf } from './geometry/boxes';
import { Ledge } from './ledge/Ledge';
import { PageStrip } from './page/PageStrip';
import { SelectionBar } from './selection/SelectionBar';
import { Surface, type Hold } from './Surface';
import { SELECT } from './hand/tools';
import { useHeld, useHeldKeys } from './hand/useHeld';
import { pageMenu } from './page/pageMenu';
import { useBoardCommands } from './useBoardCommands';
import { placed, slideSized } from './placed';
import { useBringing } from './useBringing';
import { Glimpsed } from './others/Glimpsed';
import { useFollowing, useLeading, type Lead } from './hand/useTogether';
import { useView } from './hand/useView';

// What is not on the paper from the beginning is fetched when it is asked for.
const MarkTools = lazy(() => import('./selection/MarkTools').then(({ MarkTools }) => ({ default: MarkTools })));
const Earlier = lazy(() => import('./panels/Earlier').then(({ Earlier }) => ({ default: Earlier })));
const Overview = lazy(() => import('./panels/Overview').then(({ Overview }) => ({ default: Overview })));
const WhoDidWhat = lazy(() => import('./panels/WhoDidWhat').then(({ WhoDidWhat }) => ({ default: WhoDidWhat })));
const NewProp = lazy(() => import('./props/NewProp').then(({ NewProp }) => ({ default: NewProp })));
const ShelfPicker = lazy(() => import('../shelf/ShelfPicker').then(({ ShelfPicker }) => ({ default: ShelfPicker })));

interface Props {
  id: string;
  title: string;
  page: string;
  onPage: (page: string) => void;
  /** Where what is chosen is told, when that is not above the selection. */
  inspector?: HTMLElement | null;
  /** A mark to be chosen as soon as it is there. */
  wanted?: string | null;
  inClass?: boolean;
  /** Who leads, while the class is kept together. */
  lead?: Lead | null;
  /** What there is to tell of that, given whether one looks elsewhere. */
  onLed?: (led: Led) => ReactNode;
}

/** How one stands to whoever leads. */
export interface Led {
  /** Whether one looks elsewhere on one's own. */
  apart: boolean;
  /** Whether they look at something that one cannot see. */
  elsewhere: boolean;
  back: () => void;
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
  const { id, title, page, onPage, inspector, wanted, inClass = false, lead = null, onLed, board, you } = props;
  const rights = useRights(boardStream(id));
  const locked = !you.staff && isLocked(board, board.pages.includes(page) ? page : board.pages[0]!);
  const mayDraw = !locked && (rights?.draw.allowed ?? false);
  const reason = locked ? 'This page is locked by the instructor.' : (rights?.draw.says ?? null);
  const shelf = useContext(ShelfContext);
  const commands = useBoardCommands(id);
  const shown = board.pages.includes(page) ? page : board.pages[0]!;
  const height = useMemo(() => heightOf(board, shown), [board, shown]);
  const { holder, ...own } = useView(height);
  const here = { board: id, page: shown };
  useLeading(lead, you.id, here, own);
  const { zoom: view, ...led } = useFollowing(lead, you.id, here, own);
  const held = useHeld(wanted);
  const { tool, sticks, ink, chosen, take } = held;
  const [panel, setPanel] = useState<Panel | null>(null);
  const [only, setOnly] = useState<string | null>(null);
  const { marks } = board;
  const saving = useSaving();
  const put = (what: Parameters<typeof placed>[0], at: [number, number]) => void commands.put(placed(what, shown, at));
  const bringing = useBringing(shelf?.course ?? null, (material, slide, at) => put(slideSized(material, slide), at));

  useHeldKeys({ held, mayDraw, me: you.id, marks, commands });

  const number = board.pages.indexOf(shown) + 1;
  const [cx, cy] = [
    view.view.x + view.size.width / view.view.scale / 2,
    view.view.y + view.size.height / view.view.scale / 2,
  ];
  const propsReason = mayDraw && rights?.props.allowed ? null : (rights?.props.says ?? reason ?? 'Not now.');
  const more = pageMenu({
    board: id,
    page: shown,
    grows: board.facts.get(shown)?.grows ?? false,
    locked: { board: board.locked, page: board.facts.get(shown)?.locked ?? false },
    staff: you.staff,
    mayDraw,
    mayAdd: !locked && (rights?.add.allowed ?? false),
    commands,
    onPanel: setPanel,
    onPage,
    onSave: saving.save,
  });
  const acts = useSteady({
    onTool: take,
    onStick: held.changeStick,
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
    return (
      inspector &&
      createPortal(
        <Suspense fallback={null}>
          <MarkTools {...hold} {...whose} />
        </Suspense>,
        inspector,
      )
    );
  };

  return (
    <Box sx={{ flex: 1, minHeight: 0, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
      {onLed?.(led)}
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
          mayArrange={rights?.arrange.allowed ?? false}
          propsReason={propsReason}
          tool={mayDraw ? tool : SELECT}
          stick={mayDraw && tool.name === 'stick' ? (sticks[tool.index] ?? null) : null}
          ink={ink}
          onTool={take}
          commands={commands}
          others={
            <Glimpsed board={id} me={you.id} marks={marks} page={shown} names={board.authors} scale={view.view.scale} />
          }
          view={view}
          only={panel === 'people' ? only : null}
          wanted={chosen}
          onFiles={(files, at) => void bringing.bring(files, at)}
        >
          {tools}
        </Surface>
        {you.staff && isLocked(board, shown) && (
          <Box
            sx={{
              position: 'absolute',
              left: 12,
              top: 10,
              px: 1,
              py: 0.25,
              fontSize: 13,
              bgcolor: 'background.paper',
              border: 1,
              borderColor: 'divider',
              borderRadius: 1,
            }}
          >
            Locked for students
          </Box>
        )}
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
        <Suspense fallback={null}>
          {panel === 'people' && (
            <WhoDidWhat
              board={board}
              page={shown}
              staff={you.staff && mayDraw}
              only={only}
              onOnly={setOnly}
              onTakeOff={(person) => void commands.clear(shown, person)}
              onChoose={held.choose}
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
        </Suspense>
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
      <Suspense fallback={null}>
        {panel === 'overview' && <Overview board={board} page={shown} onPage={onPage} onClose={() => setPanel(null)} />}
        {panel === 'shelf' && shelf && (
          <ShelfPicker
            course={shelf.course}
            onClose={() => setPanel(null)}
            onSlide={(material, slide) => {
              put(slideSized(material, slide), [cx, cy]);
              setPanel(null);
              take(SELECT);
            }}
          />
        )}
        {panel && PROP_KINDS.has(panel) && (
          <NewProp
            kind={panel as NonNullable<NewMark['prop']>}
            inClass={inClass}
            onClose={() => setPanel(null)}
            onPut={(facts) => {
              put(facts, [cx, cy]);
              setPanel(null);
              take(SELECT);
            }}
          />
        )}
      </Suspense>
    </Box>
  );
}
