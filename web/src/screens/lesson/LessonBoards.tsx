import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { LessonFacts } from '../../api/shapes';

interface Props {
  lesson: LessonFacts;
  shown: string | null;
  onBoard: (board: string) => void;
  onNew: () => void;
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
      <Button onClick={onNew} sx={{ mt: 1 }}>
        Make a board
      </Button>
    </Box>
  );
}
