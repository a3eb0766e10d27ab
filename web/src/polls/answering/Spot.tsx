import Box from '@mui/material/Box';
import { useState, type KeyboardEvent } from 'react';
import { PAGE_HEIGHT, PAGE_WIDTH } from '../../api/contracts';
import type { FieldProps } from './Answering';
import { SpotGround } from './SpotGround';

/** px of a page by which one arrow key moves a spot; with Shift more. */
const STEP = 20;
const STRIDE = 100;
const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A spot on a picture or a board, by a tap or by arrow keys. Its px are those of a page 1600 wide. */
export function Spot({ question, draft, onDraft }: FieldProps) {
  const [height, setHeight] = useState(PAGE_HEIGHT);
  const put = (x: number, y: number) =>
    onDraft({
      ...draft,
      spot: [Math.round(Math.min(Math.max(x, 0), PAGE_WIDTH)), Math.round(Math.min(Math.max(y, 0), height))],
    });
  const key = (event: KeyboardEvent) => {
    const way = ARROWS[event.key];
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    const [x, y] = draft.spot ?? [PAGE_WIDTH / 2, height / 2];
    const by = event.shiftKey ? STRIDE : STEP;
    put(x + way[0] * by, y + way[1] * by);
  };
  const [x, y] = draft.spot ?? [null, null];
  return (
    <Box
      role="application"
      tabIndex={0}
      aria-label={`${question.text} ${x === null ? 'No spot yet' : `Your spot: ${percentOf(x, PAGE_WIDTH)} from the left, ${percentOf(y!, height)} from above`}. Arrow keys move it.`}
      onKeyDown={key}
      onPointerDown={(event) => {
        const box = event.currentTarget.getBoundingClientRect();
        const scale = PAGE_WIDTH / box.width;
        put((event.clientX - box.left) * scale, (event.clientY - box.top) * scale);
      }}
      sx={{
        position: 'relative',
        cursor: 'crosshair',
        borderRadius: 1,
        overflow: 'hidden',
        border: 1,
        borderColor: 'divider',
      }}
    >
      <SpotGround question={question} onHeight={setHeight} />
      {draft.spot && (
        <Box
          aria-hidden
          sx={{
            position: 'absolute',
            left: `${(draft.spot[0] / PAGE_WIDTH) * 100}%`,
            top: `${(draft.spot[1] / height) * 100}%`,
            width: 22,
            height: 22,
            m: '-11px 0 0 -11px',
            borderRadius: '50%',
            border: '3px solid #A8412A',
            boxShadow: '0 0 0 2px #FFFDF9',
          }}
        />
      )}
    </Box>
  );
}

const percentOf = (value: number, whole: number) => `${Math.round((value / whole) * 100)} %`;
