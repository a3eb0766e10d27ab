import Box from '@mui/material/Box';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState, type ReactNode } from 'react';
import { useLive } from '../live/hooks';
import type { You } from '../live/protocol';
import type { Seat, SittingState } from '../live/sitting';
import { firstName } from './people';
import { SeatView } from './SeatView';
import { Slats } from './Slats';

interface Props {
  sitting: SittingState;
  you: You;
  children: ReactNode;
}

/** Everyone present: raised hands first in their order, then staff, then the others by name. */
export function inOrder(sitting: SittingState): Seat[] {
  const rank = (seat: Seat) => {
    const hand = sitting.hands.indexOf(seat.id);
    if (hand >= 0) return hand;
    return seat.role === 'instructor' ? 10_000 : seat.role === 'assistant' ? 10_001 : 10_002;
  };
  return sitting.seats
    .filter((seat) => seat.presence !== 'left')
    .sort((one, other) => rank(one) - rank(other) || one.name.localeCompare(other.name));
}

/** The row of people present, and at its right what concerns oneself. */
export function Bench({ sitting, you, children }: Props) {
  const live = useLive();
  const [open, setOpen] = useState<{ seat: Seat; anchor: HTMLElement } | null>(null);
  const seats = inOrder(sitting);
  const exception = (seat: Seat) =>
    sitting.rules.exceptions.find((row) => row.person === seat.id && row.right === 'draw');
  const word = (seat: Seat) => {
    const own = exception(seat);
    return own ? (own.allow ? 'may draw' : 'no pen') : null;
  };
  const stream = `sitting/${sitting.id}`;
  const act = (then: () => void) => {
    setOpen(null);
    then();
  };

  return (
    <Box component="section" aria-label="Bench" sx={{ flex: 'none' }}>
      <Slats />
      <Box sx={{ height: 104, display: 'flex' }}>
        <Box
          tabIndex={0}
          role="group"
          aria-label={`${seats.length} people`}
          sx={{
            flex: 1,
            minWidth: 0,
            display: 'flex',
            gap: 0.5,
            alignItems: 'center',
            overflowX: 'auto',
            px: 1,
            pt: 1,
          }}
        >
          {seats.map((seat) => (
            <SeatView
              key={seat.id}
              seat={seat}
              me={seat.id === you.id}
              hand={sitting.hands.indexOf(seat.id) + 1}
              word={word(seat)}
              onOpen={you.staff && seat.id !== you.id ? (anchor) => setOpen({ seat, anchor }) : undefined}
            />
          ))}
        </Box>
        <Box
          sx={{
            flex: 'none',
            borderLeft: 1,
            borderColor: 'divider',
            px: 1.75,
            display: 'flex',
            flexDirection: 'column',
            justifyContent: 'center',
            gap: 1,
          }}
        >
          {children}
        </Box>
      </Box>
      <Menu
        anchorEl={open?.anchor}
        open={!!open}
        onClose={() => setOpen(null)}
        anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        {open && sitting.hands.includes(open.seat.id) && (
          <MenuItem onClick={() => act(() => void live.do('class.lower_hand', stream, { person: open.seat.id }))}>
            Take down the hand of {firstName(open.seat.name)}
          </MenuItem>
        )}
        {open && !['instructor', 'assistant'].includes(open.seat.role) && (
          <MenuItem
            onClick={() =>
              act(
                () =>
                  void live.do('class.rule', stream, {
                    right: 'draw',
                    allow: !mayDraw(sitting, open.seat.id),
                    person: open.seat.id,
                  }),
              )
            }
          >
            {mayDraw(sitting, open.seat.id)
              ? `Take the pen from ${firstName(open.seat.name)}`
              : `Let ${firstName(open.seat.name)} draw`}
          </MenuItem>
        )}
        {open && ['instructor', 'assistant'].includes(open.seat.role) && (
          <MenuItem disabled>{open.seat.name} may do everything here</MenuItem>
        )}
      </Menu>
    </Box>
  );
}

/** How the rules, as the server tells them, apply to one student; only to word the menu. */
function mayDraw(sitting: SittingState, person: string): boolean {
  const own = sitting.rules.exceptions.find((row) => row.person === person && row.right === 'draw');
  return own ? own.allow : (sitting.rules.for_all.draw ?? false);
}
