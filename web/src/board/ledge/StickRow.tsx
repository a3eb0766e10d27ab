import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import Tooltip from '@mui/material/Tooltip';
import { useState } from 'react';
import type { Stick } from '../../api/shapes';
import { INKS, WASHES } from '../../api/contracts';
import { TOUCHED } from '../../theme/theme';
import { InkRow } from './InkRow';
import { stickName, WIDTHS } from './sticks';
import type { Tool } from '../hand/tools';

interface Props {
  sticks: Stick[];
  tool: Tool;
  onTool: (tool: Tool) => void;
  onStick: (index: number, stick: Stick) => void;
}

/** One's own sticks. Taking the one in hand once more lets one make it another. */
export function StickRow({ sticks, tool, onTool, onStick }: Props) {
  const [changing, setChanging] = useState<{ index: number; anchor: HTMLElement } | null>(null);
  return (
    <Box sx={{ display: 'flex', alignSelf: 'flex-end', mr: 0.5, ml: -0.5, flex: 'none' }}>
      {sticks.map((stick, index) => {
        const picked = tool.name === 'stick' && tool.index === index;
        const highlighter = stick.kind === 'highlight';
        const name = stickName(stick);
        return (
          <Tooltip key={index} title={`${name}, key ${index + 1}${picked ? '; press to change it' : ''}`}>
            <Box
              component="button"
              type="button"
              aria-label={`${name}, ${index + 1}`}
              aria-pressed={picked}
              onClick={(event) =>
                picked ? setChanging({ index, anchor: event.currentTarget }) : onTool({ name: 'stick', index })
              }
              sx={{
                width: highlighter ? 30 : 24,
                [TOUCHED]: { width: 44 },
                height: 50,
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
                  height: picked ? 50 : 36,
                  pt: picked ? '28px' : '16px',
                  border: picked ? '2px solid #FFFDF9' : 'none',
                  borderBottom: 'none',
                  outline: picked ? '2px solid' : 'none',
                  outlineColor: 'text.primary',
                  borderRadius: '5px 5px 0 0',
                  background: highlighter
                    ? `linear-gradient(${INKS[stick.ink]} 30%, ${WASHES[stick.ink]} 30%)`
                    : INKS[stick.ink],
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
      <Popover
        open={changing !== null}
        anchorEl={changing?.anchor}
        onClose={() => setChanging(null)}
        anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        {changing && (
          <StickSettings
            stick={sticks[changing.index]!}
            onChange={(stick) => onStick(changing.index, stick)}
            onDone={() => setChanging(null)}
          />
        )}
      </Popover>
    </Box>
  );
}

interface SettingsProps {
  stick: Stick;
  onChange: (stick: Stick) => void;
  onDone: () => void;
}

function StickSettings({ stick, onChange, onDone }: SettingsProps) {
  const kinds = [
    ['stroke', 'Pen'],
    ['highlight', 'Highlighter'],
  ] as const;
  return (
    <Box
      role="dialog"
      aria-label="This stick"
      sx={{ p: 1.75, width: 250, display: 'flex', flexDirection: 'column', gap: 1.25 }}
    >
      <Box sx={{ display: 'flex', gap: 0.75 }}>
        {kinds.map(([kind, name]) => (
          <Button
            key={kind}
            aria-pressed={stick.kind === kind}
            onClick={() => onChange({ ...stick, kind, width: WIDTHS[kind][1]! })}
          >
            {name}
          </Button>
        ))}
      </Box>
      <InkRow ink={stick.ink} onInk={(ink) => onChange({ ...stick, ink })} />
      <Box sx={{ display: 'flex', gap: 0.75 }}>
        {WIDTHS[stick.kind].map((width) => (
          <Box
            key={width}
            component="button"
            type="button"
            aria-label={`${width} wide`}
            aria-pressed={stick.width === width}
            onClick={() => onChange({ ...stick, width })}
            sx={{
              width: 44,
              height: 44,
              display: 'grid',
              placeItems: 'center',
              bgcolor: 'background.paper',
              border: stick.width === width ? 2 : 1,
              borderColor: stick.width === width ? 'primary.main' : 'divider',
              borderRadius: 0.75,
              cursor: 'pointer',
            }}
          >
            <Box sx={{ width: 30, height: Math.max(width * 0.7, 2), bgcolor: INKS[stick.ink], borderRadius: 1 }} />
          </Box>
        ))}
      </Box>
      <Button onClick={onDone} sx={{ alignSelf: 'flex-start' }}>
        Done
      </Button>
    </Box>
  );
}
