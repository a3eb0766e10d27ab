import Box from '@mui/material/Box';
import type { PollResults, Question } from '../../api/shapes';
import { answerWords, percent } from '../words';
import { flowOf, type Band } from './flow';
import { Table } from './TableOf';

interface Props {
  question: Question;
  results: PollResults;
  tell: boolean;
  asTable: boolean;
}

/** px of the picture, of its posts and of the words on either side. */
const [WIDTH, HEIGHT, POST, SIDE] = [760, 330, 16, 190];
const FROM = SIDE;
/** px of a band in which there is room for words. */
const LEGIBLE = 16;
const TO = WIDTH - SIDE;

/** Two rounds side by side: who of the same people stayed with what they had answered, and who went where. */
export function Flow({ question, results, tell, asTable }: Props) {
  const { moves } = results;
  if (!moves) return null;
  if (!moves.ways)
    return <Box>Fewer than three changed their answer. Who they were would be known, so ways are not told.</Box>;
  const right = tell ? JSON.stringify(question.right?.options ?? null) : null;
  const words = (value: unknown) => answerWords(question, value);
  if (asTable)
    return (
      <Table
        head={['before', 'after', 'people']}
        rows={moves.ways.map(({ from, to, count }) => [words(from), words(to), count])}
      />
    );
  const { left, ends, bands } = flowOf(moves.ways, HEIGHT - 40, right);
  const isRight = (key: string) => key === right;
  return (
    <Box
      component="svg"
      role="img"
      aria-label={moves.ways.map(({ from, to, count }) => `${count} from ${words(from)} to ${words(to)}`).join('; ')}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      sx={{
        flex: 'none',
        width: 1,
        aspectRatio: `${WIDTH} / ${HEIGHT}`,
        maxHeight: 420,
        '& text': { fill: 'var(--mui-palette-text-primary)', fontSize: 14 },
      }}
    >
      <text x={FROM - POST - 10} y={14} textAnchor="end" style={{ fontWeight: 700 }}>
        round {results.since}
      </text>
      <text x={TO + POST + 10} y={14} style={{ fontWeight: 700 }}>
        round {results.round}
      </text>
      <g transform="translate(0 34)">
        {bands.map((band) => (
          <path
            key={`${band.from} ${band.to}`}
            d={ribbon(band)}
            fill={isRight(band.to) ? '#17665E' : '#B9A888'}
            fillOpacity={isRight(band.from) ? 0.55 : 0.38}
          />
        ))}
        {/* At the beginning of a band, where none lies over another. */}
        {bands
          .filter(({ height }) => height >= LEGIBLE)
          .map((band) => (
            <text key={`n ${band.from} ${band.to}`} x={FROM + 12} y={band.y0 + band.height / 2 + 5}>
              {band.count} {band.from === band.to ? 'stayed' : 'moved'}
            </text>
          ))}
        {left.map((end) => (
          <g key={end.key}>
            <rect
              x={FROM - POST}
              y={end.y}
              width={POST}
              height={Math.max(end.height, 2)}
              rx={3}
              fill={isRight(end.key) ? '#17665E' : '#B9A888'}
            />
            <Label
              x={FROM - POST - 10}
              y={end.y}
              anchor="end"
              words={words(end.value)}
              count={end.count}
              right={isRight(end.key)}
            />
          </g>
        ))}
        {ends.map((end) => (
          <g key={end.key}>
            <rect
              x={TO}
              y={end.y}
              width={POST}
              height={Math.max(end.height, 2)}
              rx={3}
              fill={isRight(end.key) ? '#17665E' : '#B9A888'}
            />
            <Label
              x={TO + POST + 10}
              y={end.y}
              anchor="start"
              words={words(end.value)}
              count={end.count}
              right={isRight(end.key)}
            />
          </g>
        ))}
      </g>
    </Box>
  );
}

function Label({
  x,
  y,
  anchor,
  words,
  count,
  right,
}: {
  x: number;
  y: number;
  anchor: 'start' | 'end';
  words: string;
  count: number;
  right: boolean;
}) {
  const short = words.length > 24 ? `${words.slice(0, 23)}…` : words;
  return (
    <>
      <text x={x} y={y + 14} textAnchor={anchor} style={{ fontWeight: 650 }}>
        <title>{words}</title>
        {short}
      </text>
      <text x={x} y={y + 32} textAnchor={anchor} style={{ fill: 'var(--mui-palette-text-secondary)', fontSize: 13 }}>
        {count}
        {right && ' · right'}
      </text>
    </>
  );
}

/** A band that leaves and arrives level. */
function ribbon({ y0, y1, height }: Band): string {
  const middle = (FROM + TO) / 2;
  return `M${FROM} ${y0} C${middle} ${y0} ${middle} ${y1} ${TO} ${y1} V${y1 + height} C${middle} ${y1 + height} ${middle} ${y0 + height} ${FROM} ${y0 + height} Z`;
}

/** The share that was right before and after, and the gain, see `Core::Polls::Gain`. */
export function Gain({ results }: { results: PollResults }) {
  const right = results.moves?.right;
  if (!right) return null;
  const figures = [
    { label: 'right before → after', value: `${percent(right.before)} → ${percent(right.after)}` },
    {
      label: 'normalised gain ⟨g⟩',
      value: right.gain === null ? 'none to have' : right.gain.toFixed(2),
      about: right.gain === null ? 'all were right before' : '(after − before) / (1 − before)',
    },
  ];
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
      {figures.map(({ label, value, about }) => (
        <Box key={label} sx={{ border: 1, borderColor: 'divider', borderRadius: 1, p: 1.25 }}>
          <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{label}</Box>
          <Box sx={{ fontSize: 22, fontWeight: 700 }}>{value}</Box>
          {about && <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{about}</Box>}
        </Box>
      ))}
    </Box>
  );
}
