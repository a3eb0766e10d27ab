import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { lazy, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import { useLive, useStaff } from '../../live/hooks';
import type { ClassFacts, You } from '../../api/shapes';
import type { SittingState } from '../../live/sitting';
import { MAIN, sittingStream } from '../../live/streams';
import { initials, washOf } from '../../parts/words/people';
import { Ribbon } from '../../parts/frame/Ribbon';
import { Waiting } from '../../parts/frame/Waiting';
import { AtTheDoors } from './AtTheDoors';
import { Checklist } from './Checklist';
import { DoorsCard } from './DoorsCard';
import { activityWords } from './rooms/rooms';
import { ToGo } from './ToGo';

// Seldom looked at before the class.
const RoomsPage = lazy(() => import('./rooms/RoomsPage').then(({ RoomsPage }) => ({ default: RoomsPage })));

interface Props {
  sitting: SittingState;
  you: You;
  facts: ClassFacts;
}

/** Before the doors open, for staff: who waits, who else is here to teach, and the one thing to do. */
export function Doors({ sitting, you, facts }: Props) {
  const live = useLive();
  const go = useNavigate();
  const staff = useStaff(sitting.id);
  const [rooms, setRooms] = useState(false);
  const dealt = staff?.activities.filter(({ state }) => state === 'dealt') ?? [];
  const beside = sitting.seats.filter((seat) => seat.presence === 'here' && seat.id !== you.id);

  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <Ribbon title={sitting.title} under={`${sitting.course}${facts.rehearsal ? ' · rehearsal' : ''}`}>
        <Box sx={{ flex: 1 }} />
        <Button onClick={() => go(`/lessons/${facts.lesson}`)}>Back to the lesson</Button>
      </Ribbon>
      {rooms && staff ? (
        <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex', p: { xs: 0.5, md: 1.5 } }}>
          <Suspense fallback={<Waiting />}>
            <RoomsPage {...{ sitting, staff }} at={MAIN} onLeave={() => setRooms(false)} />
          </Suspense>
        </Box>
      ) : (
        <DoorsCard>
          <ToGo startsAt={sitting.starts_at} />
          <Box sx={{ mt: 1.5 }}>
            The doors are closed. People who come wait here, and nobody sees a board or the run sheet yet.
          </Box>
          <Button
            variant="contained"
            color="primary"
            size="large"
            sx={{ mt: 2.5 }}
            onClick={() => void live.do('class.open', sittingStream(sitting.id), {})}
          >
            Open the doors
          </Button>
          {staff && (
            <Box sx={{ mt: 3 }}>
              <AtTheDoors sitting={sitting.id} staff={staff} open={false} />
            </Box>
          )}
          {staff && <Checklist sitting={sitting} staff={staff} lesson={facts.lesson} stage={facts.stage} />}
          {staff && (
            <Box component="section" aria-label="Rooms" sx={{ mt: 3 }}>
              <Box component="h3" sx={{ typography: 'h3', m: 0, mb: 0.5 }}>
                Rooms
              </Box>
              {dealt.map((activity) => (
                <Box key={activity.id}>{activityWords(activity)}</Box>
              ))}
              <Button size="small" onClick={() => setRooms(true)} sx={{ mt: 0.5 }}>
                {dealt.length > 0 ? 'Look at who is where' : 'Split the roster into rooms'}
              </Button>
            </Box>
          )}
          {beside.length > 0 && <People heading="Here to teach with you" people={beside} />}
        </DoorsCard>
      )}
    </Box>
  );
}

function People({ heading, people }: { heading: string; people: { id: string; name: string }[] }) {
  return (
    <>
      <Box component="h3" sx={{ typography: 'h3', mt: 3, mb: 1 }}>
        {heading}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {people.map(({ id, name }) => (
          <Box
            key={id}
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 1,
              pr: 1.5,
              border: 1,
              borderColor: 'divider',
              borderRadius: 1,
              overflow: 'hidden',
            }}
          >
            <Box
              sx={{
                width: 36,
                height: 36,
                display: 'grid',
                placeItems: 'center',
                gridTemplateColumns: 'minmax(0, 1fr)',
                bgcolor: washOf(id),
                color: '#23313A',
                fontWeight: 700,
                fontSize: 13,
              }}
            >
              {initials(name)}
            </Box>
            {name}
          </Box>
        ))}
      </Box>
    </>
  );
}
