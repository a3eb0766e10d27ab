import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { LessonFacts } from '../../api/shapes';
import { BoardPaper } from '../../board/BoardPaper';
import { LiveContext, useLiveClient } from '../../live/hooks';
import { Notices } from '../../parts/frame/Notices';
import { Ribbon } from '../../parts/frame/Ribbon';
import { Activities } from '../../parts/rooms/Activities';
import { useSaving } from '../../parts/hooks/useSaving';
import { clockTime, day } from '../../parts/words/times';

/** For students, before and after the class: the boards they may read, and those they may work on. */
export function LessonOutside({ lesson }: { lesson: LessonFacts }) {
  const [query] = useSearchParams();
  const client = useLiveClient('lesson', lesson.id);
  const boards = [...lesson.boards, ...lesson.copies.map((copy) => ({ ...copy, name: `Your copy of ${copy.name}` }))];
  const [chosen, setChosen] = useState(query.get('board') ?? boards[0]?.id);
  const [page, setPage] = useState<string | null>(null);
  const board = boards.find(({ id }) => id === chosen) ?? boards[0];
  const saving = useSaving();
  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <Ribbon
        title={lesson.title}
        under={`${lesson.course} · ${day(lesson.starts_at, 'short')}, ${clockTime(lesson.starts_at)}`}
      >
        <Box sx={{ flex: 1 }} />
        <Button component={Link} to={`/lessons/${lesson.id}/class`} variant="contained" color="primary">
          Go to the class
        </Button>
      </Ribbon>
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: { xs: 'column', md: 'row' } }}>
        <Box
          component="nav"
          aria-label="Boards"
          sx={{
            width: { xs: 1, md: 248 },
            flex: 'none',
            p: 1.75,
            bgcolor: 'background.paper',
            borderRight: 1,
            borderColor: 'divider',
          }}
        >
          <Box component="h2" sx={{ m: 0, mb: 1, typography: 'h2' }}>
            Boards
          </Box>
          {boards.map((row) => (
            <Box
              key={row.id}
              component="button"
              type="button"
              aria-current={row.id === board?.id}
              onClick={() => {
                setChosen(row.id);
                setPage(null);
              }}
              sx={{
                display: 'block',
                width: 1,
                textAlign: 'left',
                p: 1,
                font: 'inherit',
                color: 'inherit',
                border: 0,
                borderLeft: '3px solid',
                borderColor: row.id === board?.id ? 'primary.main' : 'transparent',
                bgcolor: row.id === board?.id ? 'veranda.wash' : 'transparent',
                cursor: 'pointer',
              }}
            >
              {row.name}
              <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
                {row.outside === 'work' ? 'to work on' : 'to read'}
              </Box>
            </Box>
          ))}
          {lesson.boards.length > 0 && (
            <Button sx={{ mt: 2 }} onClick={() => saving.save(`/api/lessons/${lesson.id}.pdf`)}>
              Save them as one PDF
            </Button>
          )}
          {saving.says && <Box role="status">{saving.says}</Box>}
          <Activities lesson={lesson.id} staff={false} />
        </Box>
        <Box
          component="main"
          sx={{ flex: 1, minWidth: 0, minHeight: 0, display: 'flex', flexDirection: 'column', p: 1.25 }}
        >
          {client && board ? (
            <LiveContext value={client}>
              <BoardPaper
                key={board.id}
                id={board.id}
                title={board.name}
                page={page ?? board.first_page}
                onPage={setPage}
              />
              <Notices />
            </LiveContext>
          ) : (
            <Box sx={{ m: 'auto' }}>No board of this lesson is open yet.</Box>
          )}
        </Box>
      </Box>
    </Box>
  );
}
