import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { LessonFacts } from '../../api/shapes';
import { Activities } from '../../parts/rooms/Activities';
import { useSaving } from '../../parts/hooks/useSaving';
import { count } from '../../parts/words/times';

interface Props {
  lesson: LessonFacts;
  shown: string | null;
  onBoard: (board: string) => void;
  onNew: () => void;
}

/** What was handed out in classes, by whose copy it is: everybody has theirs back, and staff may read them. */
function Copies({ lesson }: { lesson: LessonFacts }) {
  const saving = useSaving();
  return (
    <Box component="details" sx={{ mt: 1, px: 1 }}>
      <summary>{count(lesson.copies.length, 'copy', 'copies')} handed out</summary>
      {lesson.copies.map(({ id, name, owner }) => (
        <Button key={id} size="small" onClick={() => saving.save(`/api/boards/${id}.pdf`)}>
          {owner}: {name}, as PDF
        </Button>
      ))}
      {saving.says && <Box role="status">{saving.says}</Box>}
    </Box>
  );
}

/** All boards of the lesson, also those that no step shows. */
export function LessonBoards({ lesson, shown, onBoard, onNew }: Props) {
  return (
    <Box component="section" aria-label="Boards of this lesson" sx={{ mt: 3 }}>
      <Box component="h2" sx={{ m: 0, mb: 1, typography: 'h2' }}>
        Boards
      </Box>
      {lesson.boards.map(({ id, name }) => (
        <Box
          key={id}
          component="button"
          type="button"
          aria-current={id === shown}
          onClick={() => onBoard(id)}
          sx={{
            display: 'block',
            width: 1,
            minHeight: 32,
            px: 1,
            font: 'inherit',
            color: 'inherit',
            textAlign: 'left',
            border: 0,
            borderLeft: '3px solid',
            borderColor: id === shown ? 'primary.main' : 'transparent',
            bgcolor: id === shown ? 'veranda.wash' : 'transparent',
            cursor: 'pointer',
          }}
        >
          {name}
        </Box>
      ))}
      {lesson.copies.length > 0 && <Copies lesson={lesson} />}
      <Button onClick={onNew} sx={{ mt: 1 }}>
        Make a board
      </Button>
      <Activities lesson={lesson.id} staff />
    </Box>
  );
}
