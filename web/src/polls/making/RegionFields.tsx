import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useRef, useState, type PointerEvent } from 'react';
import { MOST_OPTIONS, PAGE_HEIGHT, PAGE_WIDTH } from '../../api/contracts';
import type { Question } from '../../api/shapes';
import { RegionShape } from '../../board/others/Regions';
import { newId } from '../../live/LiveClient';
import { Words } from '../../parts/words/Words';
import { SpotGround } from '../answering/SpotGround';

/** A page that a poll may be about. */
export interface Ground {
  board: string;
  page: string;
  name: string;
}

interface Props {
  question: Question;
  grounds: Ground[];
  onChange: (changes: Partial<Question>) => void;
}

type Region = NonNullable<Question['regions']>[number];

/** px of a page; smaller ones were most likely a slip of the hand. */
const LEAST = 60;
const MARGIN = 40;

/** The board that a poll is about, and for marks the regions in which they count: drawn, or as columns. */
export function RegionFields({ question, grounds, onChange }: Props) {
  const [height, setHeight] = useState(PAGE_HEIGHT);
  const from = useRef<[number, number] | null>(null);
  const [drawn, setDrawn] = useState<Region | null>(null);
  const regions = question.regions ?? [];
  const counts = question.kind === 'marks';
  const at = (event: PointerEvent<HTMLElement>): [number, number] => {
    const box = event.currentTarget.getBoundingClientRect();
    const scale = PAGE_WIDTH / box.width;
    return [Math.round((event.clientX - box.left) * scale), Math.round((event.clientY - box.top) * scale)];
  };
  const move = (event: PointerEvent<HTMLElement>) => {
    if (!from.current) return;
    const [[x0, y0], [x1, y1]] = [from.current, at(event)];
    const corner = { x: Math.min(x0, x1), y: Math.min(y0, y1) };
    setDrawn({ id: 'drawn', text: '', ...corner, w: Math.abs(x1 - x0), h: Math.abs(y1 - y0) });
  };
  const done = () => {
    from.current = null;
    setDrawn(null);
    if (!drawn || drawn.w < LEAST || drawn.h < LEAST || regions.length >= MOST_OPTIONS) return;
    onChange({ regions: [...regions, { ...drawn, id: newId(), text: `Region ${regions.length + 1}` }] });
  };
  const columns = (count: number) => {
    const w = (PAGE_WIDTH - MARGIN * (count + 1)) / count;
    onChange({
      regions: Array.from({ length: count }, (_, i) => ({
        ...{ id: newId(), text: regions[i]?.text ?? `Region ${i + 1}` },
        ...{
          x: Math.round(MARGIN + i * (w + MARGIN)),
          y: MARGIN * 3,
          w: Math.round(w),
          h: Math.round(height - MARGIN * 4),
        },
      })),
    });
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
      <TextField
        select
        size="small"
        label="On"
        value={grounds.some(({ board }) => board === question.board) ? question.board : ''}
        onChange={(event) => {
          const ground = grounds.find(({ board }) => board === event.target.value);
          onChange({ board: ground?.board, page: ground?.page, picture: undefined });
        }}
      >
        {grounds.map(({ board, name }) => (
          <MenuItem key={board} value={board}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      {counts && question.board && (
        <>
          <Box
            onPointerDown={(event) => {
              from.current = at(event);
              event.currentTarget.setPointerCapture(event.pointerId);
            }}
            onPointerMove={move}
            onPointerUp={done}
            sx={{
              position: 'relative',
              cursor: 'crosshair',
              touchAction: 'none',
              border: 1,
              borderColor: 'divider',
              borderRadius: 1,
              overflow: 'hidden',
            }}
          >
            <SpotGround question={question} onHeight={setHeight} />
            <svg
              aria-hidden
              viewBox={`0 0 ${PAGE_WIDTH} ${height}`}
              style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }}
            >
              {[...regions, ...(drawn ? [drawn] : [])].map((region) => (
                <RegionShape key={region.id} region={region} />
              ))}
            </svg>
          </Box>
          <Box sx={{ fontSize: 13, color: 'text.secondary' }}>Draw a region on the page, or split it:</Box>
          <Box sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap', '& button': { flexShrink: 0, px: 1 } }}>
            {[2, 3, 4].map((count) => (
              <Button key={count} size="small" onClick={() => columns(count)}>
                {count} columns
              </Button>
            ))}
          </Box>
          {regions.map(({ id, text }, i) => (
            <Box key={id} sx={{ display: 'flex', gap: 0.5 }}>
              <Words
                label={`Region ${i + 1}`}
                most={60}
                value={text}
                onSave={(words) =>
                  onChange({ regions: regions.map((one) => (one.id === id ? { ...one, text: words.trim() } : one)) })
                }
              />
              <Button
                aria-label={`Out: region ${i + 1}`}
                onClick={() => onChange({ regions: regions.filter((one) => one.id !== id) })}
              >
                Out
              </Button>
            </Box>
          ))}
          <TextField
            select
            size="small"
            label="Of each person count"
            value={question.most ?? 0}
            onChange={(event) => onChange({ most: Number(event.target.value) || undefined })}
          >
            <MenuItem value={0}>all marks</MenuItem>
            {[1, 2, 3, 5].map((most) => (
              <MenuItem key={most} value={most}>
                {most === 1 ? 'one mark' : `${most} marks`}
              </MenuItem>
            ))}
          </TextField>
        </>
      )}
    </Box>
  );
}
