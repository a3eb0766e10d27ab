import Box from '@mui/material/Box';
import { useNavigate } from 'react-router';
import { BoardFinder } from '../parts/fields/BoardFinder';
import { Shell } from '../parts/frame/Shell';

/** All boards of one's courses, to be found again. */
export default function Boards() {
  const go = useNavigate();
  return (
    <Shell>
      <Box component="main" sx={{ flex: 1, minHeight: 0, overflowY: 'auto', p: 3, pt: 2.5 }}>
        <Box sx={{ maxWidth: 980, mx: 'auto' }}>
          <Box component="h1" sx={{ m: 0, mb: 2, typography: 'h1' }}>
            Boards
          </Box>
          <BoardFinder
            kind="all"
            choose="Open"
            onChoose={(board) => go(`/lessons/${board.lesson_id}?board=${board.id}`)}
          />
        </Box>
      </Box>
    </Shell>
  );
}
