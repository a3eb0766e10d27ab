import Box from '@mui/material/Box';
import type { Question, Tally } from '../../api/shapes';
import { optionsOf, percent } from '../words';

interface Props {
  question: Question;
  tally: Tally;
  tell: boolean;
}

/** How many chose each option, as bars beside their words. */
export function Bars({ question, tally, tell }: Props) {
  const counts = new Map((tally.options ?? []).map(({ id, count }) => [id, count]));
  const most = Math.max(1, ...counts.values());
  const right = tell ? (question.right?.options ?? []) : [];
  return (
    <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 1.25 }}>
      {optionsOf(question).map(({ id, text }) => {
        const count = counts.get(id) ?? 0;
        return (
          <Box component="li" key={id}>
            <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
              <Box component="span" dir="auto" sx={{ flex: 1, overflowWrap: 'anywhere' }}>
                {text}
                {right.includes(id) && <strong> · right</strong>}
              </Box>
              <strong>{count}</strong>
              <Box component="span" sx={{ width: 44, textAlign: 'right', color: 'text.secondary', fontSize: 13 }}>
                {percent(count / tally.count)}
              </Box>
            </Box>
            <Bar share={count / most} marked={right.length === 0 || right.includes(id)} />
          </Box>
        );
      })}
    </Box>
  );
}

export function Bar({ share, marked = true }: { share: number; marked?: boolean }) {
  return (
    <Box aria-hidden sx={{ height: 14, borderRadius: 0.75, bgcolor: 'veranda.wall', overflow: 'hidden' }}>
      <Box
        sx={{
          width: `${share * 100}%`,
          height: 1,
          bgcolor: marked ? 'primary.main' : 'veranda.ledge',
          transition: 'width 160ms',
        }}
      />
    </Box>
  );
}
