import Box from '@mui/material/Box';
import type { Mark } from '../../api/shapes';
import { clockTime } from '../../parts/words/times';
import { boundsOf } from '../geometry/boxes';
import type { View } from '../hand/useView';

interface Props {
  mark: Mark;
  author: string;
  view: View;
  width: number;
}

/** Whose mark this is, and when it was put. */
export function WhoDrew({ mark, author, view, width }: Props) {
  const box = boundsOf(mark);
  return (
    <Box
      role="status"
      data-testid="who-drew"
      sx={{
        position: 'absolute',
        pointerEvents: 'none',
        left: Math.min(Math.max((box.x - view.x) * view.scale, 8), width - 200),
        top: (box.y + box.h - view.y) * view.scale + 24,
        px: 1,
        py: 0.5,
        fontSize: 13,
        color: '#FBF7EE',
        bgcolor: '#23313A',
        borderRadius: 0.75,
        whiteSpace: 'nowrap',
      }}
    >
      {author} · {clockTime(mark.at, true)}
    </Box>
  );
}
