import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Tooltip from '@mui/material/Tooltip';
import { memo } from 'react';
import type { NewMark } from '../live/board';
import { MenuWord } from '../parts/MenuWord';
import { PROPS } from './props/NewProp';
import { StickRow } from './StickRow';
import type { Stick } from './sticks';
import { SHAPES, SIGNS, type Tool } from './tools';

/** What the ledge lets one do. The functions stay the same, so that the ledge is drawn anew only when it changes. */
export interface LedgeActs {
  onTool: (tool: Tool) => void;
  onStick: (index: number, stick: Stick) => void;
  onProp: (kind: NonNullable<NewMark['prop']>) => void;
  onShelf: () => void;
  onUndo: () => void;
  onRedo: () => void;
  onPage: (number: number) => void;
  onZoom: (factor: number) => void;
  onFit: () => void;
  /** One of `more`, by its place. */
  onMore: (index: number) => void;
}

interface Props {
  acts: LedgeActs;
  tool: Tool;
  sticks: Stick[];
  mayDraw: boolean;
  /** Why not, when one may not draw. */
  reason: string | null;
  mayProp: boolean;
  hasShelf: boolean;
  done: number;
  undone: number;
  number: number;
  count: number;
  fits: boolean;
  /** Names of further things that may be done with the page, one on each line. */
  more: string;
}

/** The row under a board that holds the sticks. */
export const Ledge = memo(function Ledge(props: Props) {
  const { acts, tool, mayDraw, reason, mayProp, hasShelf, done, undone, number, count, fits, more } = props;
  const { onTool, onUndo, onRedo, onPage, onZoom, onFit } = acts;
  return (
    <Box
      role="toolbar"
      aria-label="Ledge"
      sx={{
        display: 'flex',
        alignItems: 'center',
        height: 52,
        flex: 'none',
        overflowX: 'auto',
        overflowY: 'hidden',
        scrollbarWidth: 'none',
        px: 1.25,
        gap: 0.1,
        borderTop: 2,
        borderColor: 'divider',
        borderRadius: '0 0 10px 10px',
        bgcolor: 'veranda.ledge',
        '& .MuiButton-root, & .MuiButton-root.Mui-disabled': {
          minWidth: 0,
          flex: 'none',
          px: 0.7,
          border: '1px solid transparent',
          bgcolor: 'transparent',
        },
        '& .picked.MuiButton-root': { bgcolor: 'background.paper', borderColor: 'divider' },
      }}
    >
      {mayDraw ? (
        <>
          <StickRow sticks={props.sticks} tool={tool} onTool={onTool} onStick={acts.onStick} />
          <Pick name="Select" letter="V" picked={tool.name === 'select'} onPick={() => onTool({ name: 'select' })} />
          <Pick name="Text" letter="T" picked={tool.name === 'text'} onPick={() => onTool({ name: 'text' })} />
          <Pick name="Note" letter="N" picked={tool.name === 'note'} onPick={() => onTool({ name: 'note' })} />
          <Shapes tool={tool} onTool={onTool} />
          <Pick name="Erase" letter="X" picked={tool.name === 'erase'} onPick={() => onTool({ name: 'erase' })} />
          <Pick name="Point" letter="." picked={tool.name === 'point'} onPick={() => onTool({ name: 'point' })} />
          {(mayProp || hasShelf) && <PutWords acts={acts} mayProp={mayProp} hasShelf={hasShelf} />}
        </>
      ) : (
        <Box sx={{ px: 1, fontSize: 14, whiteSpace: 'nowrap' }} role="status">
          {reason ?? 'This board is for reading.'}
        </Box>
      )}
      <Box sx={{ flex: 1 }} />
      {mayDraw && (
        <>
          <Pick name="Undo" letter="Ctrl+Z" disabled={done === 0} onPick={onUndo} />
          {undone > 0 && <Pick name="Redo" letter="Ctrl+Shift+Z" onPick={onRedo} />}
        </>
      )}
      <Pages number={number} count={count} onPage={onPage} />
      <MenuWord label="Page" hint="What to do with this page">
        {(close) => [
          <MenuItem key="closer" onClick={() => onZoom(1.25)}>
            Closer
          </MenuItem>,
          <MenuItem key="farther" onClick={() => onZoom(0.8)}>
            Farther
          </MenuItem>,
          <MenuItem key="fit" disabled={fits} onClick={() => close(onFit)}>
            Fit the page
          </MenuItem>,
          ...more.split('\n').map((name, i) => (
            <MenuItem key={name} onClick={() => close(() => acts.onMore(i))}>
              {name}
            </MenuItem>
          )),
        ]}
      </MenuWord>
    </Box>
  );
});

interface PickProps {
  name: string;
  letter: string;
  picked?: boolean;
  disabled?: boolean;
  onPick: () => void;
}

function Pick({ name, letter, picked, disabled, onPick }: PickProps) {
  return (
    <Tooltip title={disabled ? '' : `${name}, key ${letter}`}>
      <span style={{ flex: 'none' }}>
        <Button className={picked ? 'picked' : undefined} aria-pressed={picked} disabled={disabled} onClick={onPick}>
          {name}
        </Button>
      </span>
    </Tooltip>
  );
}

function Shapes({ tool, onTool }: { tool: Tool; onTool: LedgeActs['onTool'] }) {
  const shape = tool.name === 'shape' ? SHAPES.find(({ kind }) => kind === tool.shape) : undefined;
  const sign = tool.name === 'sign' ? SIGNS.find(({ sign: kind }) => kind === tool.sign) : undefined;
  return (
    <MenuWord label={shape?.name ?? sign?.name ?? 'Shape'} hint="Shape or mark" picked={!!(shape ?? sign)}>
      {(close) => [
        ...SHAPES.map(({ kind, name }) => (
          <MenuItem
            key={kind}
            selected={shape?.kind === kind}
            onClick={() => close(() => onTool({ name: 'shape', shape: kind }))}
          >
            {name}
          </MenuItem>
        )),
        ...SIGNS.map(({ sign: kind, name }) => (
          <MenuItem
            key={name}
            divider={false}
            selected={sign?.sign === kind}
            onClick={() => close(() => onTool({ name: 'sign', sign: kind }))}
          >
            {name}
          </MenuItem>
        )),
      ]}
    </MenuWord>
  );
}

function PutWords({ acts, mayProp, hasShelf }: { acts: LedgeActs; mayProp: boolean; hasShelf: boolean }) {
  return (
    <MenuWord label="Put" hint="Put on the board">
      {(close) => [
        hasShelf && (
          <MenuItem key="shelf" onClick={() => close(acts.onShelf)}>
            Slide or picture from the shelf
          </MenuItem>
        ),
        ...PROPS.map(([kind, name]) => (
          <MenuItem key={kind} disabled={!mayProp} onClick={() => close(() => acts.onProp(kind))}>
            {name}
          </MenuItem>
        )),
      ]}
    </MenuWord>
  );
}

interface PagesProps {
  number: number;
  count: number;
  onPage: (number: number) => void;
}

function Pages({ number, count, onPage }: PagesProps) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', fontSize: 14, fontWeight: 650, whiteSpace: 'nowrap' }}>
      <Button aria-label="Previous page" disabled={number <= 1} onClick={() => onPage(number - 1)}>
        ‹
      </Button>
      {number} of {count}
      <Button aria-label="Next page" disabled={number >= count} onClick={() => onPage(number + 1)}>
        ›
      </Button>
    </Box>
  );
}
