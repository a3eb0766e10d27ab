import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import type { LessonFacts, News } from '../../api/shapes';
import { clockTime, count, day } from '../../parts/words/times';

interface Props {
  lesson: LessonFacts;
  onBoard: (board: string) => void;
}

/** What others did on the boards since one last looked at each, by person. */
export function WhatIsNew({ lesson, onBoard }: Props) {
  const news = useQuery({
    queryKey: ['news', lesson.id],
    queryFn: () => get<News[]>(`/api/lessons/${lesson.id}/news`),
    refetchInterval: 30_000,
  });
  if (!news.data?.length) return null;
  return (
    <Box component="section" aria-label="New since you last looked" sx={{ mb: 3 }}>
      <Box component="h2" sx={{ m: 0, mb: 1, typography: 'h2' }}>
        New since you last looked
      </Box>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 1 }}>
        {news.data.map((row) => (
          <Box component="li" key={row.board + row.person}>
            <strong>{row.name}</strong>, {count(row.count, 'change')} on{' '}
            {lesson.boards.find(({ id }) => id === row.board)?.name}
            <Box sx={{ fontSize: 13, color: 'text.secondary', display: 'flex', alignItems: 'center', gap: 1 }}>
              {day(row.at, 'short')}, {clockTime(row.at)}
              <Button onClick={() => onBoard(row.board)} sx={{ minHeight: 26, px: 1, py: 0 }}>
                Look
              </Button>
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
