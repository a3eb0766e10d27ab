import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { get } from '../../api/http';
import type { LessonFacts } from '../../api/shapes';
import { INKS, WASHES } from '../../api/contracts';
import { slideAddress } from '../../board/page/addresses';
import { useLive } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import { Ribbon } from '../../parts/frame/Ribbon';
import { Waiting } from '../../parts/frame/Waiting';
import { CheckDevices } from '../../stage/CheckDevices';
import { DoorsCard } from './DoorsCard';
import { ToGo } from './ToGo';

/** The boards that are open for reading outside of class, each in a page of its own so that one goes on waiting here. */
function ToRead({ lesson }: { lesson: string }) {
  const { data } = useQuery({
    queryKey: ['lesson', lesson],
    queryFn: () => get<Pick<LessonFacts, 'boards'>>(`/api/lessons/${lesson}`),
  });
  if (!data || data.boards.length === 0) return null;
  return (
    <Box component="section" aria-label="To read meanwhile" sx={{ mt: 3 }}>
      <Box component="h3" sx={{ typography: 'h3', m: 0, mb: 1 }}>
        To read meanwhile
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25 }}>
        {data.boards.map(({ id, name }) => (
          <Box
            key={id}
            component="a"
            href={`/lessons/${lesson}?board=${id}`}
            target="_blank"
            rel="noreferrer"
            sx={{
              width: 150,
              color: 'inherit',
              textDecoration: 'none',
              bgcolor: 'background.paper',
              border: 1,
              borderColor: 'divider',
              borderRadius: 1,
              overflow: 'hidden',
            }}
          >
            <Box
              component="img"
              src={`/api/boards/${id}/small.svg`}
              alt=""
              loading="lazy"
              sx={{ display: 'block', width: 1, height: 84, objectFit: 'cover', objectPosition: 'top' }}
            />
            <Box sx={{ p: 1, fontSize: 14 }}>{name}</Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

interface Props {
  doors: PlaceState;
  lesson: string;
  /** Whether there will be sound and picture. */
  stage: boolean;
}

/** Where students are until they are let in: what class it is, when it begins and who is there to teach it. */
export function WaitingRoom({ doors, lesson, stage }: Props) {
  const live = useLive();
  const go = useNavigate();
  const { welcome, hosts } = doors;
  if (!welcome) return <Waiting says="Going to the class" />;

  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <Ribbon title={welcome.title} under={`${welcome.course}${welcome.rehearsal ? ' · rehearsal' : ''}`}>
        <Box sx={{ flex: 1 }} />
        <Button onClick={() => (live.leave(), go('/'))}>Leave</Button>
      </Ribbon>
      <DoorsCard>
        <ToGo startsAt={welcome.starts_at} />
        {welcome.picture && (
          <Box
            component="img"
            src={slideAddress(welcome.picture.material, welcome.picture.version, 1)}
            alt=""
            sx={{ display: 'block', maxWidth: 1, maxHeight: 220, mt: 2, borderRadius: 1 }}
          />
        )}
        {welcome.words && (
          <Box
            component="section"
            aria-label="Welcome"
            dir="auto"
            sx={{
              mt: 2,
              p: 2,
              borderLeft: 4,
              borderColor: INKS[welcome.ink ?? 'slate'],
              borderRadius: 1,
              bgcolor: WASHES[welcome.ink ?? 'slate'],
              // A wash is paper, by day and after sunset.
              color: '#23313A',
              whiteSpace: 'pre-wrap',
              overflowWrap: 'anywhere',
            }}
          >
            {welcome.words}
          </Box>
        )}
        <Box sx={{ mt: 1.5 }}>
          {welcome.cancelled
            ? 'This lesson was called off. It does not take place.'
            : doors.begun
              ? `The class is going on. ${hosts.length > 0 ? hosts.map(({ name }) => name).join(' or ') : 'The instructor'} lets you in.`
              : hosts.length > 0
                ? `The doors open soon. ${hosts.map(({ name }) => name).join(' and ')} ${hosts.length > 1 ? 'are' : 'is'} here.`
                : 'The doors open soon. The instructor is not here yet.'}{' '}
          {!welcome.cancelled && 'You need do nothing but wait.'}
        </Box>
        {stage && (
          <Box sx={{ mt: 2 }}>
            <CheckDevices>Check microphone and camera</CheckDevices>
          </Box>
        )}
        <ToRead lesson={lesson} />
      </DoorsCard>
    </Box>
  );
}
