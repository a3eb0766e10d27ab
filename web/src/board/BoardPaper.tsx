import Box from '@mui/material/Box';
import { useMemo, useState } from 'react';
import { useBoard, useConnection } from '../live/hooks';
import { useShortcuts } from '../parts/useShortcuts';
import { Ledge } from './Ledge';
import { SELECT, STICKS, type Ink, type Tool } from './sticks';
import { Surface } from './Surface';
import { useBoardCommands } from './useBoardCommands';
import { useGlimpses } from './useGlimpses';
import { useView } from './useView';

interface Props {
  id: string;
  title: string;
  page: string;
  onPage: (page: string) => void;
  mayDraw: boolean;
  reason?: string | null;
}

/** A board with its ledge: one page of it, and everything to draw on it with. */
export function BoardPaper({ id, title, page, onPage, mayDraw, reason = null }: Props) {
  const board = useBoard(id);
  const { you } = useConnection();
  const commands = useBoardCommands(id);
  const { holder, ...view } = useView();
  const [tool, setTool] = useState<Tool>({ name: 'stick', index: 0 });
  const [ink, setInk] = useState<Ink>('slate');
  const marks = board?.marks;
  const settled = useMemo(() => (mark: string) => marks?.has(mark) ?? false, [marks]);
  const glimpses = useGlimpses(id, you?.id, settled);

  const take = (next: Tool) => {
    setTool(next);
    if (next.name === 'stick') setInk(STICKS[next.index]!.ink);
  };

  useShortcuts({
    ...Object.fromEntries(STICKS.map((_, index) => [String(index + 1), () => take({ name: 'stick', index })])),
    v: () => setTool(SELECT),
    t: () => setTool({ name: 'text' }),
    n: () => setTool({ name: 'note' }),
    '.': () => setTool({ name: 'point' }),
    Escape: () => setTool(SELECT),
    'Ctrl+z': () => mayDraw && void commands.undo(),
    'Ctrl+Shift+z': () => mayDraw && void commands.redo(),
  });

  if (!board || !you) return <Box sx={{ flex: 1 }} aria-busy />;
  const shown = board.pages.includes(page) ? page : board.pages[0]!;
  const number = board.pages.indexOf(shown) + 1;
  const more = [
    ...(you.staff && mayDraw
      ? [
          { name: 'Add a page', act: () => void commands.addPage(shown).then((fresh) => fresh && onPage(fresh)) },
          { name: 'Clear this page', act: () => void commands.clear(shown) },
        ]
      : []),
    { name: 'Save as SVG', act: () => location.assign(`/api/boards/${id}/${shown}.svg`) },
  ];

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
          tool={mayDraw ? tool : SELECT}
          ink={ink}
          onTool={take}
          commands={commands}
          glimpses={glimpses}
          names={board.authors}
          view={view}
        />
      </Box>
      <Ledge
        tool={tool}
        onTool={take}
        mayDraw={mayDraw}
        reason={reason}
        undo={board.undo.get(you.id) ?? { done: 0, undone: 0 }}
        onUndo={() => void commands.undo()}
        onRedo={() => void commands.redo()}
        page={{ number, count: board.pages.length }}
        onPage={(next) => onPage(board.pages[next - 1]!)}
        zoom={view.view.scale}
        fits={view.fits}
        onZoom={view.zoom}
        onFit={view.fit}
        more={more}
      />
    </Box>
  );
}
