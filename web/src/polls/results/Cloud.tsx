import Box from '@mui/material/Box';
import { useEffect, useState } from 'react';
import type { AnswerGroup } from '../../api/shapes';
import { CLOUD_HEIGHT, CLOUD_WIDTH, layOut, type Placed } from './cloudLayout';

const INKS = ['#17665E', '#2C5F8A', '#7A3B69', '#3F6B2A', '#7A5217'];

/** Words, the larger the more people wrote them. The same words always lie in the same places. */
export function Cloud({ groups }: { groups: AnswerGroup[] }) {
  const [placed, setPlaced] = useState<Placed[]>([]);
  useEffect(() => layOut(groups, setPlaced), [groups]);
  return (
    <Box
      component="svg"
      role="img"
      aria-label={`Words: ${groups.map(({ words, count }) => `${words} ${count}`).join(', ')}`}
      viewBox={`${-CLOUD_WIDTH / 2} ${-CLOUD_HEIGHT / 2} ${CLOUD_WIDTH} ${CLOUD_HEIGHT}`}
      sx={{
        flex: 'none',
        width: 1,
        aspectRatio: `${CLOUD_WIDTH} / ${CLOUD_HEIGHT}`,
        maxHeight: 360,
        borderRadius: 1,
        bgcolor: 'veranda.paper',
      }}
    >
      {placed.map(({ key, text, size, x, y }, i) => (
        <text
          key={key}
          x={x}
          y={y}
          textAnchor="middle"
          fontSize={size}
          fontWeight={650}
          fontFamily="Atkinson Hyperlegible Next Variable, sans-serif"
          fill={INKS[i % INKS.length]}
        >
          {text}
        </text>
      ))}
    </Box>
  );
}
