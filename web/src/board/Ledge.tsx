import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Tooltip from '@mui/material/Tooltip';
import { useState, type ReactNode } from 'react';
import { INKS, WASHES } from '../api/contracts';
import { SHAPES, STICKS, type Tool } from './sticks';

interface Props {
  tool: Tool;
  onTool: (tool: Tool) => void;
  mayDraw: boolean;
  /** Why not, when one may not draw. */
  reason: string | null;
  undo: { done: number; undone: number };
  onUndo: () => void;
  onRedo: () => void;
  page: { number: number; count: number };
  onPage: (number: number) => void;
  zoom: number;
  fits: boolean;
  onZoom: (factor: number) => void;
  onFit: () => void;
  /** Further things that staff may do with the page. */
  more: { name: string; act: () => void }[];
}

/** The row under a board that holds the sticks. */
export function Ledge(props: Props) {
  const { tool, onTool, mayDraw, reason, undo, onUndo, onRedo, page, onPage, zoom, fits, onZoom, onFit, more } = props;
  return (
    <Box
      role="toolbar"
      aria-label="Ledge"
      sx={{
        display: 'flex',
        alignItems: 'center',
        height: 52,
        flex: 'none',
        overflowX: { xs: 'auto', md: 'visible' },
        px: 1.25,
        gap: 0.25,
        borderTop: 2,
        borderColor: 'divider',
        borderRadius: '0 0 10px 10px',
        bgcolor: 'veranda.ledge',
        '& .MuiButton-root, & .MuiButton-root.Mui-disabled': {
          minWidth: 0,
          px: 0.85,
          border: '1px solid transparent',
          bgcolor: 'transparent',
        },
        '& .picked.MuiButton-root': { bgcolor: 'background.paper', borderColor: 'divider' },
      }}
    >
      {mayDraw ? (
        <>
          <Sticks tool={tool} onTool={onTool} />
          <Pick name="Select" letter="V" picked={tool.name === 'select'} onPick={() => onTool({ name: 'select' })} />
          <Pick name="Text" letter="T" picked={tool.name === 'text'} onPick={() => onTool({ name: 'text' })} />
          <Pick name="Note" letter="N" picked={tool.name === 'note'} onPick={() => onTool({ name: 'note' })} />
          <Shapes tool={tool} onTool={onTool} />
          <Pick name="Point" letter="." picked={tool.name === 'point'} onPick={() => onTool({ name: 'point' })} />
        </>
      ) : (
        <Box sx={{ px: 1, fontSize: 14 }} role="status">
          {reason ?? 'This board is for reading.'}
        </Box>
      )}
      <Box sx={{ flex: 1 }} />
      {mayDraw && (
        <>
          <Pick name="Undo" letter="Ctrl+Z" disabled={undo.done === 0} onPick={onUndo} />
          <Pick name="Redo" letter="Ctrl+Shift+Z" disabled={undo.undone === 0} onPick={onRedo} />
        </>
      )}
      <Pages {...page} onPage={onPage} />
      <Words label={`${Math.round(zoom * 100)} %`} hint="Zoom">
        {(close) => [
          <MenuItem key="in" onClick={() => onZoom(1.25)}>
            Closer
          </MenuItem>,
          <MenuItem key="out" onClick={() => onZoom(0.8)}>
            Farther
          </MenuItem>,
          <MenuItem key="fit" disabled={fits} onClick={() => close(onFit)}>
            Fit the page
          </MenuItem>,
        ]}
      </Words>
      {more.length > 0 && (
        <Words label="Page" hint="What to do with this page">
          {(close) =>
            more.map(({ name, act }) => (
              <MenuItem key={name} onClick={() => close(act)}>
                {name}
              </MenuItem>
            ))
          }
        </Words>
      )}
    </Box>
  );
}

function Sticks({ tool, onTool }: Pick<Props, 'tool' | 'onTool'>) {
  return (
    <Box sx={{ display: 'flex', alignSelf: 'flex-end', mr: 0.5, ml: -0.5 }}>
      {STICKS.map((stick, index) => {
        const picked = tool.name === 'stick' && tool.index === index;
        const highlighter = stick.kind === 'highlight';
        return (
          <Tooltip key={stick.name} title={`${stick.name}, key ${index + 1}`}>
            <Box
              component="button"
              aria-label={`${stick.name}, ${index + 1}`}
              aria-pressed={picked}
              onClick={() => onTool({ name: 'stick', index })}
              sx={{
                width: highlighter ? 30 : 24,
                height: 52,
                p: 0,
                border: 0,
                background: 'none',
                font: 'inherit',
                display: 'flex',
                alignItems: 'flex-end',
                justifyContent: 'center',
                cursor: 'pointer',
              }}
            >
              <Box
                component="span"
                sx={{
                  display: 'block',
                  width: highlighter ? 24 : 18,
                  height: picked ? 52 : 36,
                  pt: picked ? '30px' : '16px',
                  border: picked ? '2px solid #FFFDF9' : 'none',
                  borderBottom: 'none',
                  outline: picked ? '2px solid' : 'none',
                  outlineColor: 'text.primary',
                  borderRadius: '5px 5px 0 0',
                  background: highlighter ? `linear-gradient(#E8C765 40%, ${WASHES.umber} 40%)` : INKS[stick.ink],
                  color: highlighter ? '#23313A' : '#FBF7EE',
                  fontSize: 13,
                  lineHeight: 1,
                  textAlign: 'center',
                  transition: 'height 120ms',
                }}
              >
                {index + 1}
              </Box>
            </Box>
          </Tooltip>
        );
      })}
    </Box>
  );
}

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
      <span>
        <Button className={picked ? 'picked' : undefined} aria-pressed={picked} disabled={disabled} onClick={onPick}>
          {name}
        </Button>
      </span>
    </Tooltip>
  );
}

function Shapes({ tool, onTool }: Pick<Props, 'tool' | 'onTool'>) {
  const shape = tool.name === 'shape' ? SHAPES.find(({ kind }) => kind === tool.shape) : undefined;
  return (
    <Words label={shape?.name ?? 'Shape'} hint="Shape" picked={!!shape}>
      {(close) =>
        SHAPES.map(({ kind, name }) => (
          <MenuItem
            key={kind}
            selected={shape?.kind === kind}
            onClick={() => close(() => onTool({ name: 'shape', shape: kind }))}
          >
            {name}
          </MenuItem>
        ))
      }
    </Words>
  );
}

function Pages({ number, count, onPage }: Props['page'] & { onPage: Props['onPage'] }) {
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

interface WordsProps {
  label: string;
  hint: string;
  picked?: boolean;
  children: (close: (then: () => void) => void) => ReactNode;
}

/** A word on the ledge that opens a short list of others. */
function Words({ label, hint, picked, children }: WordsProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = (then: () => void) => {
    setAnchor(null);
    then();
  };
  return (
    <>
      <Tooltip title={hint}>
        <Button
          className={picked ? 'picked' : undefined}
          aria-haspopup="menu"
          aria-label={`${hint}: ${label}`}
          onClick={(event) => setAnchor(event.currentTarget)}
        >
          {label}
        </Button>
      </Tooltip>
      <Menu
        anchorEl={anchor}
        open={!!anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        {children(close)}
      </Menu>
    </>
  );
}
