import Box from '@mui/material/Box';
import { useState } from 'react';
import { PAGE_HEIGHT, PAGE_WIDTH, SPOT_SQUARE } from '../../api/contracts';
import type { Question, Tally } from '../../api/shapes';
import { SpotGround } from '../answering/SpotGround';

/** Where people put their spots: the warmer, the more. */
export function Heat({ question, tally, tell }: { question: Question; tally: Tally; tell: boolean }) {
  const [height, setHeight] = useState(PAGE_HEIGHT);
  const spots = tally.spots ?? [];
  const most = Math.max(1, ...spots.map(({ count }) => count));
  const area = tell ? question.right?.area : undefined;
  return (
    <Box sx={{ position: 'relative', borderRadius: 1, overflow: 'hidden', border: 1, borderColor: 'divider' }}>
      <SpotGround question={question} onHeight={setHeight} />
      <svg
        viewBox={`0 0 ${PAGE_WIDTH} ${height}`}
        role="img"
        aria-label={`${spots.length} places were marked, the most marked one by ${most}`}
        style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }}
      >
        {area && (
          <rect
            x={area.x}
            y={area.y}
            width={area.w}
            height={area.h}
            fill="none"
            stroke="#17665E"
            strokeWidth={6}
            strokeDasharray="18 10"
          />
        )}
        {spots.map(({ x, y, count }) => (
          <g key={`${x} ${y}`}>
            <circle
              cx={x + SPOT_SQUARE / 2}
              cy={y + SPOT_SQUARE / 2}
              r={SPOT_SQUARE * (0.9 + (0.9 * count) / most)}
              fill="#A8412A"
              fillOpacity={0.3 + (0.4 * count) / most}
              stroke="#FFFDF9"
              strokeWidth={4}
            />
            {count > 1 && (
              <text
                x={x + SPOT_SQUARE / 2}
                y={y + SPOT_SQUARE / 2 + 12}
                textAnchor="middle"
                fontSize={34}
                fontWeight={700}
                fill="#FFFDF9"
              >
                {count}
              </text>
            )}
          </g>
        ))}
      </svg>
    </Box>
  );
}
