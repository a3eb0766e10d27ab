import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import type { You } from '../../live/protocol';
import type { SittingState } from '../../live/sitting';
import { Ribbon } from '../../parts/Ribbon';
import { clockTime, count, duration } from '../../parts/times';
import type { ClassFacts } from '../ClassScreen';

interface Props {
  sitting: SittingState;
  you: You;
  facts: ClassFacts;
}

/** After the class: how long it was, who was there, and where its recording is. */
export function ClassEnded({ sitting, you, facts }: Props) {
  const recorded = sitting.stretches.reduce((sum, { from, to }) => sum + (to ?? from) - from, 0);
  const students = sitting.seats.filter((seat) => !['instructor', 'assistant'].includes(seat.role));
  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <Ribbon title={sitting.title} under={sitting.course} />
      <Box
        component="main"
        sx={{ flex: 1, display: 'grid', placeItems: 'center', gridTemplateColumns: 'minmax(0, 1fr)', p: 3 }}
      >
        <Box
          sx={{
            width: 620,
            maxWidth: '100%',
            p: 4,
            bgcolor: 'background.paper',
            border: 1,
            borderColor: 'divider',
            borderRadius: 1.5,
          }}
        >
          <Box component="h2" sx={{ m: 0, typography: 'h1' }}>
            The class has ended
          </Box>
          <Box sx={{ mt: 1 }}>
            {clockTime(sitting.opened_at!)} to {clockTime(sitting.ended_at!)}, {count(students.length, 'student')}.{' '}
            {recorded > 0 ? `${duration(recorded)} recorded, ready to watch.` : 'Nothing was recorded.'}
            {you.staff && recorded > 0 && ' Students see the recording once you share it.'}
          </Box>
          <Box sx={{ mt: 3, display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            {recorded > 0 && (
              <Button component={Link} to={`/recordings/${sitting.id}`} variant="contained" color="primary">
                Watch the recording
              </Button>
            )}
            {you.staff && (
              <Button component={Link} to={`/lessons/${facts.lesson}`}>
                Back to the lesson
              </Button>
            )}
            <Button component={Link} to="/">
              Go to the desk
            </Button>
          </Box>
        </Box>
      </Box>
    </Box>
  );
}
