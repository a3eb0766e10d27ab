import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import visuallyHidden from '@mui/utils/visuallyHidden';
import type { Seat } from '../../api/shapes';
import { firstName, initials, washOf } from '../../parts/words/people';

/** `hall`, `tall` (as wide as pictures are) and `large` with the name below; `small` with initials alone; `named` the same with the name beside. */
export type SeatSize = 'hall' | 'tall' | 'large' | 'small' | 'named';

interface Props {
  seat: Seat;
  me: boolean;
  /** In place of the initials. Its element stays the same wherever the seat goes. */
  picture?: ReactNode;
  size: SeatSize;
  /** Place in the queue of hands, from 1; 0 without. */
  hand: number;
  /** A short word under the name, such as a signal or an own right. */
  word: string | null;
  /** Whether they have the floor. */
  floor?: boolean;
  /** Whether they speak just now. */
  speaks?: boolean;
  /** What of theirs is on. */
  sends?: { sound: boolean; picture: boolean };
  onOpen?: (element: HTMLElement) => void;
}

/** One person on the bench. */
export function SeatView({ seat, me, picture, size, hand, word, floor = false, speaks = false, sends, onOpen }: Props) {
  const hall = size === 'hall';
  const tall = size === 'tall';
  const small = !hall && !tall && size !== 'large';
  const side = hall ? 108 : tall ? 84 : small ? 44 : 60;
  // Pictures are four by three.
  const width = tall ? 112 : side;
  const named = size === 'named';
  const away = seat.presence === 'dropped';
  const on = [sends?.sound && 'microphone on', sends?.picture && 'camera on'].filter(Boolean).join(', ');
  const words = away ? 'reconnecting' : word;
  return (
    <Box
      component={onOpen ? 'button' : 'div'}
      data-testid={`seat-${seat.id}`}
      title={seat.name}
      onClick={onOpen && ((event: React.MouseEvent<HTMLElement>) => onOpen(event.currentTarget))}
      sx={{
        position: 'relative',
        flex: 'none',
        width: named ? 'auto' : width + (small ? 2 : 12),
        p: 0,
        ...(named && { display: 'flex', alignItems: 'center', gap: 0.75, pr: 2 }),
        border: 'none',
        background: 'none',
        font: 'inherit',
        color: 'inherit',
        textAlign: 'center',
        cursor: onOpen ? 'pointer' : 'default',
        transform: hand > 0 && !small ? 'translateY(-6px)' : 'none',
        transition: 'transform 150ms',
      }}
    >
      <Box
        sx={{
          position: 'relative',
          width,
          height: side,
          mx: 'auto',
          borderRadius: 1.25,
          display: 'grid',
          placeItems: 'center',
          fontWeight: 700,
          // Rings like those on water.
          ...(speaks && { outline: '3px solid #17665E', outlineOffset: 2 }),
          fontSize: hall ? 26 : 17,
          color: '#23313A',
          // Whoever is away loses the colour, never the words: those have to stay readable.
          bgcolor: away ? 'background.paper' : washOf(seat.id),
          border: away ? '2px dashed' : floor ? '3px solid' : seat.role === 'instructor' ? '2px solid' : '1px solid',
          borderColor: away
            ? 'text.secondary'
            : floor
              ? '#E0A63A'
              : seat.role === 'instructor'
                ? 'primary.main'
                : 'divider',
        }}
      >
        {picture ?? <span aria-hidden>{initials(seat.name)}</span>}
        {sends?.sound && <MicrophoneOn aside={small} />}
        {sends?.picture && !picture && <CameraOn />}
        {hand > 0 && (
          <Box
            sx={{
              position: 'absolute',
              top: small ? -4 : -8,
              right: small ? -4 : -8,
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
        {words && !small && (
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
        sx={
          named
            ? { textAlign: 'left' }
            : small
              ? visuallyHidden
              : {
                  mt: 0.9,
                  fontSize: 13,
                  lineHeight: 1.2,
                  overflow: 'hidden',
                  textOverflow: 'ellipsis',
                  whiteSpace: 'nowrap',
                }
        }
      >
        {firstName(seat.name)}
        {me && ' (you)'}
        {speaks && (
          <Box component="span" sx={visuallyHidden}>
            , speaks
          </Box>
        )}
        {on && (
          <Box component="span" sx={visuallyHidden}>
            , {on}
          </Box>
        )}
        {small && words && `, ${words}`}
      </Box>
    </Box>
  );
}

const ON = {
  ...{ position: 'absolute', left: 3, top: 3, display: 'flex', gap: '2px', p: '3px', borderRadius: 0.75 },
  ...{ bgcolor: 'rgba(255, 253, 249, 0.88)', '& i': { display: 'block', bgcolor: '#17665E' } },
};

/** Three strokes, as of a voice. */
const MicrophoneOn = ({ aside }: { aside: boolean }) => (
  // Where there is little room, initials stay readable.
  <Box
    aria-hidden
    sx={{
      ...ON,
      ...(aside && { left: -5, top: -5 }),
      alignItems: 'center',
      height: 16,
      '& i': { width: 3, bgcolor: '#17665E' },
    }}
  >
    <i style={{ height: 5 }} />
    <i style={{ height: 10 }} />
    <i style={{ height: 6 }} />
  </Box>
);

/** A frame, where the picture itself does not come. */
const CameraOn = () => (
  <Box aria-hidden sx={{ ...ON, left: 'auto', right: 3, height: 16, alignItems: 'center' }}>
    <Box sx={{ width: 12, height: 9, border: '2px solid #17665E', borderRadius: '2px' }} />
  </Box>
);
