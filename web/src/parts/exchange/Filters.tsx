import Button from '@mui/material/Button';
import type { Word } from './useWords';

export type Filter = 'all' | 'private' | 'parked';

/** @returns whether a post is shown */
export const passes = (word: Word, filter: Filter) =>
  filter === 'all' || (filter === 'private' ? word.thread !== undefined : word.parked !== undefined);

interface Props {
  words: Word[];
  filter: Filter;
  onFilter: (filter: Filter) => void;
}

/** What of the words is shown; there only once there is something to tell apart. */
export function Filters({ words, filter, onFilter }: Props) {
  const waiting = words.filter(({ parked }) => parked === 'waiting').length;
  const choices: [Filter, string, boolean][] = [
    ['private', 'Private', words.some((word) => passes(word, 'private'))],
    ['parked', waiting > 0 ? `Parked ${waiting}` : 'Parked', words.some((word) => passes(word, 'parked'))],
  ];
  return choices
    .filter(([key, , some]) => some || filter === key)
    .map(([key, label]) => (
      <Button
        key={key}
        size="small"
        aria-pressed={filter === key}
        variant={filter === key ? 'contained' : 'outlined'}
        onClick={() => onFilter(filter === key ? 'all' : key)}
        sx={{ minHeight: { xs: 44, md: 28 }, p: '0 8px', fontSize: 13 }}
      >
        {label}
      </Button>
    ));
}
