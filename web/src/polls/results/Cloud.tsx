import Box from '@mui/material/Box';
import cloud from 'd3-cloud';
import { useEffect, useState } from 'react';
import type { AnswerGroup } from '../../api/shapes';

const WIDTH = 640;
const HEIGHT = 320;
/** px of the smallest and largest words; words that so few wrote stay as small as can be read. */
const [SMALLEST, LARGEST] = [15, 64];
const MOST = 80;
const INKS = ['#17665E', '#2C5F8A', '#7A3B69', '#3F6B2A', '#7A5217'];

interface Placed {
  key: string;
  text: string;
  count: number;
  size: number;
  x: number;
  y: number;
}

/** Words, the larger the more people wrote them. The same words always lie in the same places. */
export function Cloud({ groups }: { groups: AnswerGroup[] }) {
  const [placed, setPlaced] = useState<Placed[]>([]);
  useEffect(() => {
    const most = Math.max(1, ...groups.map(({ count }) => count));
    const words = groups.slice(0, MOST).map(({ key, words: text, count }) => ({
      key,
      text,
      count,
      size: SMALLEST + (LARGEST - SMALLEST) * Math.sqrt((count - 1) / Math.max(most - 1, 1)),
    }));
    const layout = cloud<(typeof words)[number]>()
      .size([WIDTH, HEIGHT])
      .words(words)
      .padding(3)
      .rotate(0)
      .random(() => 0.5)
      .font('Atkinson Hyperlegible Next Variable')
      .fontSize(({ size }) => size!)
      .on('end', (laid) => setPlaced(laid as Placed[]));
    layout.start();
    return () => void layout.stop();
  }, [groups]);
  return (
    <Box
      component="svg"
      role="img"
      aria-label={`Words: ${groups.map(({ words, count }) => `${words} ${count}`).join(', ')}`}
      viewBox={`${-WIDTH / 2} ${-HEIGHT / 2} ${WIDTH} ${HEIGHT}`}
      sx={{
        flex: 'none',
        width: 1,
        aspectRatio: `${WIDTH} / ${HEIGHT}`,
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
