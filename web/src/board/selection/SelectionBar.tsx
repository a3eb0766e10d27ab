import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { lazy, Suspense, useContext, useState } from 'react';
import { linkIn, PlayLinkContext } from '../../clips/playLink';
import { InkRow } from '../ledge/InkRow';
import type { Hold } from '../Surface';
import type { View } from '../hand/useView';

const MarkTools = lazy(() => import('./MarkTools').then(({ MarkTools }) => ({ default: MarkTools })));

interface Props extends Hold {
  view: View;
  width: number;
  staff: boolean;
  me: string;
  authors: ReadonlyMap<string, string>;
}

/** In class: the most wanted right above the selection, and all the rest one click away. */
export function SelectionBar({ view, width, staff, me, authors, ...hold }: Props) {
  const { selection, actions, rewrite } = hold;
  const { box, selected, movable, single, target, turn } = selection;
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const play = useContext(PlayLinkContext);
  if (!box || target || turn !== 0 || movable.length === 0) return null;
  const ink = selected.every((mark) => mark.ink === selected[0]!.ink) ? selected[0]!.ink : null;
  const top = (box.y - view.y) * view.scale - 62;
  const link = play && linkIn(single?.text);
  const words = movable.filter((mark) => mark.text?.trim()).length > 1;
  return (
    <Box
      role="toolbar"
      aria-label={`${selected.length} selected`}
      onPointerDown={(event) => event.stopPropagation()}
      sx={{
        position: 'absolute',
        left: Math.min(Math.max((box.x - view.x) * view.scale - 10, 8), Math.max(width - 440, 8)),
        top: top < 8 ? (box.y + box.h - view.y) * view.scale + 46 : top,
        display: 'flex',
        alignItems: 'center',
        gap: 0.5,
        p: 0.5,
        pl: 1,
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        boxShadow: '0 4px 14px rgb(35 49 58 / .12)',
        '& > .MuiButton-root': { minWidth: 0, px: 1, border: 'none' },
      }}
    >
      <InkRow ink={ink} onInk={actions.recolour} />
      {single?.text !== undefined && <Button onClick={rewrite}>Write</Button>}
      {link && <Button onClick={() => play(link)}>Play for everyone</Button>}
      {words && <Button onClick={() => actions.arrange('sort_column')}>Sort A–Z</Button>}
      <Button aria-haspopup="dialog" onClick={(event) => setAnchor(event.currentTarget)}>
        More
      </Button>
      <Button color="error" onClick={actions.takeOff}>
        Take off
      </Button>
      <Popover open={!!anchor} anchorEl={anchor} onClose={() => setAnchor(null)}>
        <Box sx={{ width: 268, p: 1.75 }} role="dialog" aria-label="What is chosen">
          <Suspense fallback={null}>
            <MarkTools {...hold} staff={staff} me={me} authors={authors} />
          </Suspense>
        </Box>
      </Popover>
    </Box>
  );
}
