import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { Question, Tally } from '../../api/shapes';
import { optionsOf, percent } from '../words';
import { plain } from './Histogram';

interface Props {
  question: Question;
  tally: Tally;
  tell: boolean;
}

/** The numbers behind a picture. */
export function TableOf({ question, tally, tell }: Props) {
  const text = new Map(optionsOf(question).map((option) => [option.id, option.text]));
  const right = tell ? (question.right?.options ?? []) : [];
  if (tally.options)
    return (
      <Table
        head={['answer', 'people', 'share']}
        rows={tally.options.map(({ id, count }) => [
          `${text.get(id) ?? id}${right.includes(id) ? ' (right)' : ''}`,
          count,
          percent(count / tally.count),
        ])}
      />
    );
  if (tally.places)
    return (
      <Table
        head={['answer', 'points', 'mean place']}
        rows={tally.places.map(({ option, points, mean }) => [
          text.get(option) ?? option,
          points,
          mean?.toFixed(2) ?? '–',
        ])}
      />
    );
  if (tally.groups)
    return (
      <Table
        head={['answer', 'people', 'as written']}
        rows={tally.groups.map(({ words, count, texts }) => [words, count, texts.map((one) => one.text).join(', ')])}
      />
    );
  if (tally.points)
    return <Table head={['point', 'people']} rows={tally.points.map(({ point, count }) => [point, count])} />;
  if (tally.bins)
    return (
      <Table
        head={['from', 'to', 'people']}
        rows={tally.bins.map(({ from, to, count }) => [plain(from), plain(to), count])}
      />
    );
  if (tally.spots)
    return (
      <Table
        head={['from the left', 'from above', 'people']}
        rows={tally.spots.map(({ x, y, count }) => [x, y, count])}
      />
    );
  return null;
}

export function Table({ head, rows }: { head: string[]; rows: ReactNode[][] }) {
  return (
    <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="group" aria-label="Table">
      <Box
        component="table"
        sx={{
          width: 1,
          borderCollapse: 'collapse',
          '& th, & td': { textAlign: 'left', p: '6px 10px', borderBottom: 1, borderColor: 'divider' },
          '& td + td, & th + th': { fontVariantNumeric: 'tabular-nums' },
        }}
      >
        <thead>
          <tr>
            {head.map((words) => (
              <th key={words} scope="col">
                {words}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={i}>
              {row.map((cell, j) => (
                <td key={j} dir="auto">
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
