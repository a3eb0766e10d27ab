import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useNavigate } from 'react-router';
import { INKS, WASHES } from '../../api/contracts';
import { useLive } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import { Ribbon } from '../../parts/frame/Ribbon';
import { Waiting } from '../../parts/frame/Waiting';
import { DoorsCard } from './DoorsCard';
import { ToGo } from './ToGo';

/** Where students are until they are let in: what class it is, when it begins and who is there to teach it. */
export function WaitingRoom({ doors }: { doors: PlaceState }) {
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
          {doors.begun
            ? `The class is going on. ${hosts.length > 0 ? hosts.map(({ name }) => name).join(' or ') : 'The instructor'} lets you in.`
            : hosts.length > 0
              ? `The doors open soon. ${hosts.map(({ name }) => name).join(' and ')} ${hosts.length > 1 ? 'are' : 'is'} here.`
              : 'The doors open soon. The instructor is not here yet.'}{' '}
          You need do nothing but wait.
        </Box>
      </DoorsCard>
    </Box>
  );
}
