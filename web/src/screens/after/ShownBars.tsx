import Box from '@mui/material/Box';
import type { AfterClass } from '../../api/shapes';

/** What a poll came to, a bar for each answer; what is right is told in words too. */
export function ShownBars({ text, round, rows }: AfterClass['polls'][number]) {
  const most = Math.max(1, ...rows.map(({ count }) => count));
  return (
    <Box sx={{ mt: 1 }}>
      <strong dir="auto">{text}</strong>
      {round > 1 && <Box component="span" sx={{ color: 'text.secondary' }}>{` round ${round}`}</Box>}
      <Box component="ul" sx={{ m: 0, mt: 0.5, p: 0, listStyle: 'none' }}>
        {rows.map(({ words, count, right }) => (
          <Box
            key={words}
            component="li"
            sx={{ display: 'grid', gridTemplateColumns: '1fr 40px', gap: 1, alignItems: 'center', mt: 0.5 }}
          >
            <Box sx={{ position: 'relative', px: 1, py: 0.25, overflowWrap: 'anywhere' }}>
              <Box
                aria-hidden
                sx={{
                  ...{ position: 'absolute', inset: '0 auto 0 0', width: `${(count / most) * 100}%` },
                  ...{ bgcolor: 'veranda.wash', borderLeft: 3, borderColor: right ? 'primary.main' : 'divider' },
                }}
              />
              <Box component="span" dir="auto" sx={{ position: 'relative' }}>
                {words}
                {right && <strong> (right)</strong>}
              </Box>
            </Box>
            <Box sx={{ textAlign: 'right' }}>{count}</Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
