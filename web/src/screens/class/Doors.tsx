import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useNavigate } from 'react-router';
import { useLive } from '../../live/hooks';
import type { You } from '../../live/protocol';
import type { SittingState } from '../../live/sitting';
import { initials, washOf } from '../../parts/people';
import { Ribbon } from '../../parts/Ribbon';
import { clockTime, count, duration } from '../../parts/times';
import { useNow } from '../../parts/useNow';
import type { ClassFacts } from '../ClassScreen';

interface Props {
  sitting: SittingState;
  you: You;
  facts: ClassFacts;
}

/** Before the doors open: students wait, staff see who does and open. */
export function Doors({ sitting, you, facts }: Props) {
  const live = useLive();
  const go = useNavigate();
  const now = useNow();
  const waiting = sitting.seats.filter((seat) => seat.presence === 'here' && seat.id !== you.id);
  const host = sitting.seats.find((seat) => seat.presence === 'here' && seat.role === 'instructor');
  const left = sitting.starts_at - now;

  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <Ribbon title={sitting.title} under={`${sitting.course}${facts.rehearsal ? ' · rehearsal' : ''}`}>
        <Box sx={{ flex: 1 }} />
        {you.staff ? (
          <Button onClick={() => go(`/lessons/${facts.lesson}`)}>Back to the lesson</Button>
        ) : (
          <Button onClick={() => (live.leave(), go('/'))}>Leave</Button>
        )}
      </Ribbon>
      <Box
        component="main"
        sx={{
          flex: 1,
          overflowY: 'auto',
          display: 'grid',
          placeItems: 'center',
          gridTemplateColumns: 'minmax(0, 1fr)',
          p: 3,
        }}
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
          <Box sx={{ color: 'text.secondary' }}>
            {left > 0 ? `Begins at ${clockTime(sitting.starts_at)}` : `Was to begin at ${clockTime(sitting.starts_at)}`}
          </Box>
          <Box component="h2" sx={{ m: 0, typography: 'h1', fontSize: 32 }}>
            {left > 0 ? `${duration(left)} to go` : 'Any moment now'}
          </Box>
          <Box sx={{ mt: 1.5 }}>
            {you.staff
              ? 'The doors are closed. People who come wait here, and nobody sees a board yet.'
              : `The doors open soon. ${host ? `${host.name} is here.` : 'The instructor is not here yet.'} You need do nothing but wait.`}
          </Box>
          {you.staff && (
            <Button
              variant="contained"
              color="primary"
              size="large"
              sx={{ mt: 2.5 }}
              onClick={() => void live.do('class.open', `sitting/${sitting.id}`, {})}
            >
              Open the doors
            </Button>
          )}
          <Box component="h3" sx={{ typography: 'h3', mt: 3, mb: 1 }}>
            {waiting.length === 0 ? 'Nobody else is here yet' : `${count(waiting.length, 'other')} here`}
          </Box>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
            {waiting.map((seat) => (
              <Box
                key={seat.id}
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
                    bgcolor: washOf(seat.id),
                    color: '#23313A',
                    fontWeight: 700,
                    fontSize: 13,
                  }}
                >
                  {initials(seat.name)}
                </Box>
                {seat.name}
              </Box>
            ))}
          </Box>
        </Box>
      </Box>
    </Box>
  );
}
