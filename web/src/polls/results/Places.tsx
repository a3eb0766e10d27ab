import Box from '@mui/material/Box';
import type { Question, Tally } from '../../api/shapes';
import { optionsOf } from '../words';
import { Bar } from './Bars';

interface Props {
  question: Question;
  tally: Tally;
  tell: boolean;
}

/** Orders of many people as one: points by place, and whom nobody beats one by one. */
export function Places({ question, tally, tell }: Props) {
  const text = new Map(optionsOf(question).map((option) => [option.id, option.text]));
  const places = tally.places ?? [];
  const most = Math.max(1, ...places.map(({ points }) => points));
  const right = tell ? question.right?.options : undefined;
  return (
    <Box>
      <Box component="ol" sx={{ m: 0, pl: 3, display: 'flex', flexDirection: 'column', gap: 1 }}>
        {places.map(({ option, points, mean }) => (
          <li key={option}>
            <Box sx={{ display: 'flex', gap: 1 }}>
              <Box component="span" dir="auto" sx={{ flex: 1 }}>
                {text.get(option) ?? option}
              </Box>
              <strong>{points} points</strong>
              <Box component="span" sx={{ color: 'text.secondary', fontSize: 13, minWidth: 92, textAlign: 'right' }}>
                {mean === null ? '' : `mean place ${mean.toFixed(1)}`}
              </Box>
            </Box>
            <Bar share={points / most} />
          </li>
        ))}
      </Box>
      <Box sx={{ mt: 1, fontSize: 14 }}>
        {tally.condorcet
          ? `More than half put “${text.get(tally.condorcet)}” before each of the others.`
          : 'Nothing is put before each of the others by more than half.'}
        {right && ` Right: ${right.map((id) => text.get(id)).join(', ')}.`}
      </Box>
    </Box>
  );
}
