import Box from '@mui/material/Box';
import type { Seat } from '../live/sitting';
import { firstName, initials, washOf } from './people';

interface Props {
  seat: Seat;
  me: boolean;
  /** Place in the queue of hands, from 1; 0 without. */
  hand: number;
  /** A short word under the name, such as an own right. */
  word: string | null;
  onOpen?: (element: HTMLElement) => void;
}

/** One person on the bench. */
export function SeatView({ seat, me, hand, word, onOpen }: Props) {
  const away = seat.presence === 'dropped';
  const words = away ? 'reconnecting' : word;
  return (
    <Box
      component={onOpen ? 'button' : 'div'}
      data-testid={`seat-${seat.id}`}
      title={seat.name}
      onClick={onOpen && ((event: React.MouseEvent<HTMLElement>) => onOpen(event.currentTarget))}
      sx={{
        flex: 'none',
        width: 76,
        p: 0,
        border: 'none',
        background: 'none',
        font: 'inherit',
        color: 'inherit',
        textAlign: 'center',
        cursor: onOpen ? 'pointer' : 'default',
        transform: hand > 0 ? 'translateY(-6px)' : 'none',
        transition: 'transform 150ms',
      }}
    >
      <Box
        sx={{
          position: 'relative',
          width: 60,
          height: 60,
          mx: 'auto',
          borderRadius: 1.25,
          display: 'grid',
          placeItems: 'center',
          fontWeight: 700,
          fontSize: 17,
          color: '#23313A',
          bgcolor: washOf(seat.id),
          opacity: away ? 0.55 : 1,
          border: away ? '2px dashed' : seat.role === 'instructor' ? '2px solid' : '1px solid',
          borderColor: away ? 'text.secondary' : seat.role === 'instructor' ? 'primary.main' : 'divider',
        }}
      >
        <span aria-hidden>{initials(seat.name)}</span>
        {hand > 0 && (
          <Box
            sx={{
              position: 'absolute',
              top: -8,
              right: -8,
              minWidth: 22,
              height: 22,
              px: 0.5,
              borderRadius: 11,
              bgcolor: '#E0A63A',
              color: '#23313A',
              fontSize: 13,
              lineHeight: '22px',
            }}
          >
            {hand}
          </Box>
        )}
        {words && (
          <Box
            sx={{
              position: 'absolute',
              bottom: -7,
              left: '50%',
              transform: 'translateX(-50%)',
              px: 0.6,
              borderRadius: 0.6,
              fontSize: 13,
              lineHeight: '17px',
              fontWeight: 400,
              whiteSpace: 'nowrap',
              bgcolor: 'background.paper',
              color: 'text.primary',
              border: 1,
              borderColor: 'divider',
            }}
          >
            {words}
          </Box>
        )}
      </Box>
      <Box
        sx={{
          mt: 0.9,
          fontSize: 13,
          lineHeight: 1.2,
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
        }}
      >
        {firstName(seat.name)}
        {me && ' (you)'}
      </Box>
    </Box>
  );
}
