import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { get } from '../../api/http';
import type { ClassFacts, You } from '../../api/shapes';
import type { SittingState } from '../../live/sitting';
import { Ribbon } from '../../parts/frame/Ribbon';
import { clockTime, count, duration } from '../../parts/words/times';
import { DoorsCard } from './DoorsCard';
import { Activities } from '../../parts/rooms/Activities';
import { Transcript } from './Transcript';
import { isStaff } from '../../parts/words/people';

interface Props {
  sitting: SittingState;
  you: You;
  facts: ClassFacts;
}

/** After the class: how long it was, who was there, and what one can go on with. */
export function ClassEnded({ sitting, you, facts }: Props) {
  const recorded = sitting.stretches.reduce((sum, { from, to }) => sum + (to ?? from) - from, 0);
  const students = sitting.seats.filter((seat) => !isStaff(seat));
  // What can be watched, and by whom, is the server's to say; it was asked when the class was still going on.
  const after = useQuery({
    queryKey: ['class', sitting.id, 'after'],
    queryFn: () => get<ClassFacts>(`/api/classes/${sitting.id}`),
    refetchInterval: ({ state }) => (state.data?.recording === 'waiting' ? 15_000 : false),
  });
  const recording = after.data?.recording;
  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <Ribbon title={sitting.title} under={sitting.course} />
      <DoorsCard>
        <Box component="h2" sx={{ m: 0, typography: 'h1' }}>
          The class has ended
        </Box>
        <Box sx={{ mt: 1 }}>
          {clockTime(sitting.opened_at!)} to {clockTime(sitting.ended_at!)}, {count(students.length, 'student')}.{' '}
          {recording === 'none' && 'Nothing was recorded.'}
          {recording === 'ready' && `${duration(recorded)} recorded, ready to watch.`}
          {recording === 'ready' &&
            you.staff &&
            (after.data?.shared
              ? ' Students see the recording too.'
              : ' Students see the recording once you share it.')}
          {recording === 'waiting' && 'It was recorded. The recording opens here as soon as your instructor shares it.'}
        </Box>
        <Box sx={{ mt: 3, display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {recording === 'ready' && (
            <Button component={Link} to={`/recordings/${sitting.id}`} variant="contained" color="primary">
              Watch the recording
            </Button>
          )}
          <Button
            component={Link}
            to={`/lessons/${facts.lesson}`}
            variant={recording === 'ready' || you.staff ? 'outlined' : 'contained'}
            color={recording === 'ready' || you.staff ? 'inherit' : 'primary'}
          >
            {you.staff ? 'Back to the lesson' : 'Look at the boards'}
          </Button>
          <Button component={Link} to={`/classes/${sitting.id}/after`}>
            All that is left of it
          </Button>
          <Button component={Link} to={`/lessons/${facts.lesson}/questions`}>
            What was asked
          </Button>
          <Button component={Link} to="/">
            Go to the desk
          </Button>
        </Box>
        <Activities lesson={facts.lesson} staff={you.staff} />
        {you.staff && <Transcript facts={facts} you={you} />}
      </DoorsCard>
    </Box>
  );
}
