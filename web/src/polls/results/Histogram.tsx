import Box from '@mui/material/Box';
import type { Question, Tally } from '../../api/shapes';

interface Column {
  label: string;
  count: number;
}

/** How numbers, or points of a scale, spread; with the middle half told in words. */
export function Histogram({ question, tally }: { question: Question; tally: Tally }) {
  const columns: Column[] = tally.points
    ? tally.points.map(({ point, count }) => ({ label: String(point), count }))
    : (tally.bins ?? []).map(({ from, to, count }) => ({
        label: from === to ? plain(from) : `${plain(from)}–${plain(to)}`,
        count,
      }));
  const most = Math.max(1, ...columns.map(({ count }) => count));
  const [low, high] = question.ends ?? [];
  const { spread } = tally;
  return (
    <Box>
      <Box
        component="ul"
        sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', alignItems: 'flex-end', gap: 0.5, height: 190 }}
      >
        {columns.map(({ label, count }) => (
          <Box
            component="li"
            key={label}
            sx={{
              flex: 1,
              minWidth: 0,
              height: 1,
              display: 'flex',
              flexDirection: 'column',
              justifyContent: 'flex-end',
            }}
          >
            <Box sx={{ textAlign: 'center', fontWeight: 700, fontSize: 13 }}>{count || ''}</Box>
            <Box
              aria-hidden
              sx={{
                height: `${(count / most) * 74}%`,
                minHeight: 2,
                bgcolor: 'primary.main',
                borderRadius: '4px 4px 0 0',
              }}
            />
            <Box
              sx={{ textAlign: 'center', fontSize: 13, borderTop: 1, borderColor: 'divider', overflowWrap: 'anywhere' }}
            >
              {label}
            </Box>
          </Box>
        ))}
      </Box>
      {(low || high) && (
        <Box sx={{ display: 'flex', justifyContent: 'space-between', fontSize: 13, color: 'text.secondary' }}>
          <span dir="auto">{low}</span>
          <span dir="auto">{high}</span>
        </Box>
      )}
      {spread && (
        <Box sx={{ mt: 1, fontSize: 14 }}>
          Median <strong>{plain(spread.median)}</strong>
          {question.unit && ` ${question.unit}`}, the middle half from {plain(spread.lower)} to {plain(spread.upper)};
          least {plain(spread.least)}, most {plain(spread.most)}.
        </Box>
      )}
    </Box>
  );
}

/** @returns a number without noise of its last places */
export const plain = (value: number) => String(Number(value.toPrecision(6)));
