import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Tooltip from '@mui/material/Tooltip';
import useMediaQuery from '@mui/material/useMediaQuery';
import { memo } from 'react';
import type { Stick } from '../../api/shapes';
import type { NewMark } from '../../live/board';
import { MenuWord } from '../../parts/fields/MenuWord';
import { PROPS } from '../props/kinds';
import { TOUCHED } from '../../theme/theme';
import { StickRow } from './StickRow';
import { SHAPES, SIGNS, type Tool } from '../hand/tools';

/** Words beside the sticks, with their keys. */
const HANDS = [
  ['Select', 'V', 'select'],
  ['Text', 'T', 'text'],
  ['Note', 'N', 'note'],
  ['Erase', 'X', 'erase'],
  ['Point', '.', 'point'],
] as const;

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
  const roomy = useMediaQuery('(min-width: 640px)', { noSsr: true });
  return (
    <Box
      role="toolbar"
      aria-label="Ledge"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        minHeight: 52,
        flex: 'none',
        px: { xs: 0.5, md: 1.25 },
        gap: 0.1,
        borderTop: 2,
        borderColor: 'divider',
        borderRadius: '0 0 10px 10px',
        bgcolor: 'veranda.ledge',
        '& .MuiButton-root, & .MuiButton-root.Mui-disabled': {
          minWidth: 24,
          [TOUCHED]: { minWidth: 44 },
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
          {roomy ? (
            <>
              {HANDS.map(([name, letter, kind]) => (
                <Pick
                  key={kind}
                  name={name}
                  letter={letter}
                  picked={tool.name === kind}
                  onPick={() => onTool({ name: kind })}
                />
              ))}
              <Shapes tool={tool} onTool={onTool} />
            </>
          ) : (
            <HandsInOne tool={tool} onTool={onTool} />
          )}
          {(mayProp || hasShelf) && <PutWords acts={acts} mayProp={mayProp} hasShelf={hasShelf} />}
        </>
      ) : (
        <Box sx={{ px: 1, py: 0.75, fontSize: 14, minWidth: 0 }} role="status">
          {reason ?? 'This board is for reading.'}
        </Box>
      )}
      <Box sx={{ ml: 'auto', display: 'flex', alignItems: 'center' }}>
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

/** Where there is no room for the words side by side, the one in hand opens the others. */
function HandsInOne({ tool, onTool }: { tool: Tool; onTool: LedgeActs['onTool'] }) {
  const hand = HANDS.find(([, , kind]) => kind === tool.name);
  const shape = tool.name === 'shape' && SHAPES.find(({ kind }) => kind === tool.shape);
  const sign = tool.name === 'sign' && SIGNS.find(({ sign: kind }) => kind === tool.sign);
  const name = hand?.[0] ?? (shape || sign || { name: 'Tools' }).name;
  return (
    <MenuWord label={name} hint="What the hand holds" picked={tool.name !== 'stick'}>
      {(close) => [
        ...HANDS.map(([word, , kind]) => (
          <MenuItem key={kind} selected={tool.name === kind} onClick={() => close(() => onTool({ name: kind }))}>
            {word}
          </MenuItem>
        )),
        ...shapeItems(tool, onTool, close),
      ]}
    </MenuWord>
  );
}

function shapeItems(tool: Tool, onTool: LedgeActs['onTool'], close: (then: () => void) => void) {
  return [
    ...SHAPES.map(({ kind, name }) => (
      <MenuItem
        key={kind}
        selected={tool.name === 'shape' && tool.shape === kind}
        onClick={() => close(() => onTool({ name: 'shape', shape: kind }))}
      >
        {name}
      </MenuItem>
    )),
    ...SIGNS.map(({ sign: kind, name }) => (
      <MenuItem
        key={name}
        selected={tool.name === 'sign' && tool.sign === kind}
        onClick={() => close(() => onTool({ name: 'sign', sign: kind }))}
      >
        {name}
      </MenuItem>
    )),
  ];
}

function Shapes({ tool, onTool }: { tool: Tool; onTool: LedgeActs['onTool'] }) {
  const shape = tool.name === 'shape' ? SHAPES.find(({ kind }) => kind === tool.shape) : undefined;
  const sign = tool.name === 'sign' ? SIGNS.find(({ sign: kind }) => kind === tool.sign) : undefined;
  return (
    <MenuWord label={shape?.name ?? sign?.name ?? 'Shape'} hint="Shape or mark" picked={!!(shape ?? sign)}>
      {(close) => shapeItems(tool, onTool, close)}
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
