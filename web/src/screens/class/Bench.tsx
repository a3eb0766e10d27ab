import Box from '@mui/material/Box';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { PASSING_SIGNALS } from '../../api/contracts';
import { useServerNow } from '../../live/hooks';
import { useShortcuts } from '../../parts/hooks/useShortcuts';
import type { OnStage, Seat, You, StageLink } from '../../api/shapes';
import { withFloor, type PlaceState } from '../../live/place';
import { sittingOf } from '../../live/streams';
import { seen, signalWord } from '../../parts/words/signals';
import { count } from '../../parts/words/times';
import { SeatView, type SeatSize } from './SeatView';
import { Slats } from '../../parts/frame/Slats';

const FindPerson = lazy(() => import('./FindPerson').then(({ FindPerson }) => ({ default: FindPerson })));
// Only staff open one.
const SeatPage = lazy(() => import('./SeatPage').then(({ SeatPage }) => ({ default: SeatPage })));

/** People who sit together: those of one place, or of one breakout room of it. */
export interface Group {
  id: string;
  /** Said above them; none where there is but one group. */
  name: string | null;
  seats: Seat[];
}

/**
 * `line`, where there is little room: people in one line, and what concerns oneself below it. `few`: up to three people in a narrow line, so
 * that nobody looks at an empty hall. `many`: rows of small seats, as over 24 do not fit. `hall`: rows of large ones, where people lead.
 * `tall`: a line of seats large enough for moving pictures.
 */
export type BenchForm = 'plain' | 'line' | 'few' | 'many' | 'hall' | 'tall';

const FEW = 3;
const MANY = 24;

export function formOf(wide: boolean, people: number, lead = false, pictures = false): BenchForm {
  if (!wide) return 'line';
  if (lead) return 'hall';
  if (pictures && people <= MANY) return 'tall';
  return people <= FEW ? 'few' : people > MANY ? 'many' : 'plain';
}

interface Props {
  groups: Group[];
  /** What is shown of somebody in place of their initials, such as their picture. */
  pictureOf?: (seat: Seat) => ReactNode;
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  you: You;
  /** Who speaks just now. */
  speaking?: ReadonlySet<string>;
  /** Who has a microphone or a camera on. */
  onStage?: OnStage[];
  /** Whose connection is not good, as those who teach are told. */
  links?: ReadonlyMap<string, StageLink>;
  /** How it lies, see {@link formOf}. */
  form?: BenchForm;
  /** Writes to somebody alone. */
  onWrite?: (person: string) => void;
  /** Makes somebody whose picture comes large for oneself. */
  onLarge?: (seat: Seat) => void;
  /** One's own microphone and camera. */
  devices?: ReactNode;
  children: ReactNode;
}

const LIES: Record<BenchForm, object> = {
  line: {},
  few: { height: 60, display: 'flex' },
  plain: { height: 104, display: 'flex' },
  tall: { height: 132, display: 'flex' },
  many: { height: 112, display: 'flex' },
  hall: { height: 'min(44vh, 380px)', display: 'flex' },
};
const SIZES: Record<BenchForm, SeatSize> = {
  line: 'small',
  few: 'named',
  plain: 'large',
  tall: 'tall',
  many: 'small',
  hall: 'hall',
};

/** The row of people present, and at its right what concerns oneself. */
export function Bench({
  groups,
  pictureOf,
  place,
  room,
  you,
  speaking,
  onStage,
  links,
  form = 'plain',
  onWrite,
  onLarge,
  devices,
  children,
}: Props) {
  // Time matters to those signals alone that pass.
  const passing = place.signals.some(({ signal }) => signal in PASSING_SIGNALS);
  const now = useServerNow(passing ? 5_000 : 3_600_000);
  const [finding, setFinding] = useState(false);
  const [open, setOpen] = useState<{ person: string; anchor: HTMLElement } | null>(null);
  const opened = open && groups.flatMap(({ seats }) => seats).find(({ id }) => id === open.person);
  const signals = seen(place.signals, now);
  const people = groups.reduce((sum, { seats }) => sum + seats.length, 0);
  const exception = (seat: Seat) =>
    place.rules.exceptions.find((row) => row.person === seat.id && row.right === 'draw');
  const floor = withFloor(place);
  const word = (seat: Seat) => {
    if (floor.includes(seat.id)) return 'floor';
    const signalled = signals.find(({ person }) => person === seat.id);
    if (signalled) return signalWord(signalled.signal);
    const own = exception(seat);
    if (own) return own.allow ? 'may draw' : 'no pen';
    const link = links?.get(seat.id);
    return link ? `${link} link` : null;
  };
  const find = (person: string) => {
    const anchor = document.querySelector<HTMLElement>(`[data-testid="seat-${person}"]`);
    anchor?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    setFinding(false);
    if (anchor) setOpen({ person, anchor });
  };
  useShortcuts(you.staff ? { g: ['Go to a person', () => setFinding(true)] } : {});
  const oneLine = form === 'line';
  const rows = form === 'many' || form === 'hall';
  const row = {
    flexWrap: rows ? 'wrap' : 'nowrap',
    display: 'flex',
    gap: 0.5,
    alignItems: 'center',
  } as const;
  return (
    <Box component="section" aria-label="Bench" sx={{ flex: 'none' }}>
      <Slats />
      <Box sx={{ ...LIES[form], ...(oneLine && { pb: 'env(safe-area-inset-bottom)' }) }}>
        <Box
          tabIndex={0}
          role="group"
          aria-label={count(people, 'person', 'people')}
          sx={{
            ...row,
            flex: 1,
            minWidth: 0,
            // A bar to scroll with takes room below, and must not push hands out above.
            alignItems: form === 'plain' || form === 'tall' ? 'flex-start' : 'center',
            overflowX: rows ? 'hidden' : 'auto',
            overflowY: rows ? 'auto' : 'hidden',
            px: 1,
            pt: oneLine ? 0.75 : form === 'plain' || form === 'tall' ? 1.75 : 1,
            pb: form === 'plain' || form === 'tall' ? 0 : 0.75,
          }}
        >
          {people === 0 && <Box sx={{ px: 1, alignSelf: 'center' }}>Nobody is shown.</Box>}
          {groups.map(({ id, name, seats }) => (
            <Box
              key={id}
              role="group"
              aria-label={name ?? 'Everyone'}
              sx={{ ...row, flex: rows ? '1 1 auto' : 'none' }}
            >
              {name && <Box sx={{ fontSize: 13, color: 'text.secondary', px: 0.5 }}>{name}</Box>}
              {seats.map((seat) => (
                <SeatView
                  key={seat.id}
                  seat={seat}
                  size={SIZES[form]}
                  picture={pictureOf?.(seat)}
                  speaks={speaking?.has(seat.id)}
                  sends={onStage?.find(({ id }) => id === seat.id)}
                  me={seat.id === you.id}
                  hand={place.hands.indexOf(seat.id) + 1}
                  word={word(seat)}
                  floor={floor.includes(seat.id)}
                  onOpen={
                    you.staff
                      ? (anchor) => setOpen({ person: seat.id, anchor })
                      : seat.id !== you.id && pictureOf?.(seat)
                        ? () => onLarge?.(seat)
                        : undefined
                  }
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
            flexDirection: oneLine || form === 'few' ? 'row' : 'column',
            flexWrap: oneLine ? 'wrap' : 'nowrap',
            alignItems: form === 'few' ? 'center' : 'stretch',
            justifyContent: oneLine ? 'space-between' : 'center',
            gap: 1,
          }}
        >
          {children}
          {oneLine && devices}
        </Box>
        {!oneLine && <Box sx={{ flex: 'none', display: 'flex', alignItems: 'center', pr: 1.75 }}>{devices}</Box>}
      </Box>
      {finding && (
        <Suspense fallback={null}>
          <FindPerson seats={groups.flatMap(({ seats }) => seats)} onFound={find} onClose={() => setFinding(false)} />
        </Suspense>
      )}
      {opened && (
        <Suspense fallback={null}>
          <SeatPage
            seat={opened}
            sitting={sittingOf(room)}
            at={opened.place}
            place={place}
            me={you.id}
            onWrite={onWrite}
            onLarge={pictureOf?.(opened) && opened.id !== you.id ? onLarge : undefined}
            anchor={open!.anchor}
            onClose={() => setOpen(null)}
          />
        </Suspense>
      )}
    </Box>
  );
}
