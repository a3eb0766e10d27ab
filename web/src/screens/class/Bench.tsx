import Box from '@mui/material/Box';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState, type ReactNode } from 'react';
import { useLive } from '../../live/hooks';
import type { Seat, You } from '../../api/shapes';
import type { PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';
import { firstName, isStaff } from '../../parts/words/people';
import { count } from '../../parts/words/times';
import { SeatView } from './SeatView';
import { Slats } from '../../parts/frame/Slats';

/** People who sit together: those of one place, or of one breakout room of it. */
export interface Group {
  id: string;
  /** Said above them; none where there is but one group. */
  name: string | null;
  seats: Seat[];
}

/** @returns everyone in a place, as one group */
export const together = (sitting: SittingState, hands: string[]): Group[] => [
  { id: 'main', name: null, seats: inOrder(sitting, hands) },
];

interface Props {
  groups: Group[];
  /** What is shown of somebody in place of their initials, such as their picture. */
  pictureOf?: (seat: Seat) => ReactNode;
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  you: You;
  /** Where there is little room: people in one line, and what concerns oneself below it. */
  oneLine?: boolean;
  children: ReactNode;
}

/** Everyone present: raised hands first in their order, then staff, then the others by name. */
function inOrder(sitting: SittingState, hands: string[]): Seat[] {
  const rank = (seat: Seat) => {
    const hand = hands.indexOf(seat.id);
    if (hand >= 0) return hand;
    return seat.role === 'instructor' ? 10_000 : seat.role === 'assistant' ? 10_001 : 10_002;
  };
  return sitting.seats
    .filter((seat) => seat.presence !== 'left')
    .sort((one, other) => rank(one) - rank(other) || one.name.localeCompare(other.name));
}

/** The row of people present, and at its right what concerns oneself. */
export function Bench({ groups, pictureOf, place, room, you, oneLine = false, children }: Props) {
  const live = useLive();
  const [open, setOpen] = useState<{ seat: Seat; anchor: HTMLElement } | null>(null);
  const people = groups.reduce((sum, { seats }) => sum + seats.length, 0);
  const exception = (seat: Seat) =>
    place.rules.exceptions.find((row) => row.person === seat.id && row.right === 'draw');
  const word = (seat: Seat) => {
    const own = exception(seat);
    return own ? (own.allow ? 'may draw' : 'no pen') : null;
  };
  const act = (then: () => void) => {
    setOpen(null);
    then();
  };

  return (
    <Box component="section" aria-label="Bench" sx={{ flex: 'none' }}>
      <Slats />
      <Box sx={oneLine ? { pb: 'env(safe-area-inset-bottom)' } : { height: 104, display: 'flex' }}>
        <Box
          tabIndex={0}
          role="group"
          aria-label={count(people, 'person', 'people')}
          sx={{
            flex: 1,
            minWidth: 0,
            display: 'flex',
            gap: 0.5,
            alignItems: 'center',
            overflowX: 'auto',
            px: 1,
            pt: oneLine ? 0.75 : 1,
            pb: oneLine ? 0.75 : 0,
          }}
        >
          {groups.map(({ id, name, seats }) => (
            <Box
              key={id}
              role="group"
              aria-label={name ?? 'Everyone'}
              sx={{ display: 'flex', gap: 0.5, alignItems: 'center', flex: 'none' }}
            >
              {name && <Box sx={{ fontSize: 13, color: 'text.secondary', px: 0.5 }}>{name}</Box>}
              {seats.map((seat) => (
                <SeatView
                  key={seat.id}
                  seat={seat}
                  small={oneLine}
                  picture={pictureOf?.(seat)}
                  me={seat.id === you.id}
                  hand={place.hands.indexOf(seat.id) + 1}
                  word={word(seat)}
                  onOpen={you.staff && seat.id !== you.id ? (anchor) => setOpen({ seat, anchor }) : undefined}
                />
              ))}
            </Box>
          ))}
        </Box>
        <Box
          sx={{
            flex: 'none',
            borderLeft: oneLine ? 0 : 1,
            borderColor: 'divider',
            px: oneLine ? 1 : 1.75,
            py: oneLine ? 0.75 : 0,
            display: 'flex',
            flexDirection: oneLine ? 'row' : 'column',
            justifyContent: oneLine ? 'space-between' : 'center',
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
        {open && place.hands.includes(open.seat.id) && (
          <MenuItem onClick={() => act(() => void live.do('class.lower_hand', room, { person: open.seat.id }))}>
            Take down the hand of {firstName(open.seat.name)}
          </MenuItem>
        )}
        {open && !isStaff(open.seat) && (
          <MenuItem
            onClick={() =>
              act(
                () =>
                  void live.do('class.rule', room, {
                    right: 'draw',
                    allow: !mayDraw(place, open.seat.id),
                    person: open.seat.id,
                  }),
              )
            }
          >
            {mayDraw(place, open.seat.id)
              ? `Take the pen from ${firstName(open.seat.name)}`
              : `Let ${firstName(open.seat.name)} draw`}
          </MenuItem>
        )}
        {open && isStaff(open.seat) && <MenuItem disabled>{open.seat.name} may do everything here</MenuItem>}
      </Menu>
    </Box>
  );
}

/** How the rules, as the server tells them, apply to one student; only to word the menu. */
function mayDraw({ rules }: PlaceState, person: string): boolean {
  const own = rules.exceptions.find((row) => row.person === person && row.right === 'draw');
  return own ? own.allow : (rules.for_all.draw ?? false);
}
