import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import Switch from '@mui/material/Switch';
import type { ReactNode } from 'react';
import type { Seat } from '../../api/shapes';
import { openActivity } from '../../live/activities';
import { useLive, usePlace, useServerNow, useStaff } from '../../live/hooks';
import { withFloor, type PlaceState } from '../../live/place';
import { MAIN, placeStream, sittingStream } from '../../live/streams';
import { firstName, isStaff } from '../../parts/words/people';
import { ALL, DECIDED, ownWords } from '../../parts/words/rights';
import { signalsFor, signalWord, type Signal } from '../../parts/words/signals';
import { clockTime } from '../../parts/words/times';
import type { Device } from '../../stage/devices';
import { useStageState } from '../../stage/useStage';
import { useRooms } from './rooms/useRooms';
import { HEARD_EVERY, heardWords, useHeard } from './useHeard';
import { useSurvey } from './useSurvey';

interface Props {
  seat: Seat;
  sitting: string;
  /** The place that the seat is in. */
  at: string;
  place: PlaceState;
  /** Who has opened it. */
  me: string;
  /** Writes to somebody alone. */
  onWrite?: (person: string) => void;
  /** Makes them large for oneself. */
  onLarge?: (seat: Seat) => void;
  anchor: HTMLElement;
  onClose: () => void;
}

const BRIEFLY = 120;
/** As high from the beginning as it will be: what the server has to tell comes a moment later. */
const TALL = 'min(660px, calc(100vh - 32px))';

/** One person of the class, opened by staff: how things stand with them, and everything one may do, in sentences. */
export function SeatPage({ seat, sitting, at, place: shown, me, onWrite, onLarge, anchor, onClose }: Props) {
  // Staff open the seats of those in rooms too.
  const place = usePlace(sitting, at) ?? shown;
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
      transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      slotProps={{
        paper: {
          role: 'dialog',
          'aria-label': seat.name,
          sx: { width: 372, maxWidth: '100vw', height: isStaff(seat) ? 'auto' : TALL },
        },
      }}
    >
      <Box sx={{ p: 2, display: 'flex', flexDirection: 'column', gap: 1.5 }}>
        <Box>
          <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
            {seat.name}
          </Box>
          <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
            {seat.role} · {seat.presence === 'dropped' ? 'away' : 'here'} since {clockTime(seat.since)}
          </Box>
        </Box>
        {seat.id === me && <Oneself {...{ seat, sitting, at, place, onClose }} />}
        {seat.id !== me && onWrite && (
          <Act
            onClick={() => {
              onClose();
              // Once the page of the seat has given the focus back.
              setTimeout(() => onWrite(seat.id));
            }}
          >
            Write to {firstName(seat.name)} alone
          </Act>
        )}
        {onLarge && (
          <Act
            onClick={() => {
              onClose();
              onLarge(seat);
            }}
          >
            See {firstName(seat.name)} large
          </Act>
        )}
        {isStaff(seat) ? (
          seat.id !== me && (
            <>
              <Box>{firstName(seat.name)} may do everything here.</Box>
              <OnStage {...{ seat, sitting, at, place, onClose }} />
            </>
          )
        ) : (
          <Student {...{ seat, sitting, at, place, onClose }} />
        )}
      </Box>
    </Popover>
  );
}

/** What staff tell the class with one tap. */
function Oneself({ seat, sitting, at, place, onClose }: Omit<Props, 'anchor' | 'me' | 'onWrite' | 'onLarge'>) {
  const live = useLive();
  const mine = place.signals.find(({ person }) => person === seat.id)?.signal;
  const give = (signal: Signal) => () => {
    onClose();
    void live.do('class.signal', placeStream(sitting, at), signal === mine ? {} : { signal });
  };
  return signalsFor(true).map((signal) => (
    <Act key={signal} onClick={give(signal)}>
      {signal === mine ? `Take back “${signalWord(signal)}”` : `Tell the class: ${signalWord(signal)}`}
    </Act>
  ));
}

function Student({ seat, sitting, at, place, onClose }: Omit<Props, 'anchor' | 'me' | 'onWrite' | 'onLarge'>) {
  const live = useLive();
  const room = placeStream(sitting, at);
  const name = firstName(seat.name);
  const turn = (out: 'class.send_to_wait' | 'class.remove') =>
    void live.do(out, sittingStream(sitting), { person: seat.id, place: seat.place });
  const then = (act: () => void) => () => {
    onClose();
    act();
  };
  return (
    <>
      {withFloor(place).includes(seat.id) ? (
        <Act onClick={then(() => void live.do('class.take_floor', room, { person: seat.id }))}>
          Take the floor back from {name}
        </Act>
      ) : (
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Act onClick={then(() => void live.do('class.lend_floor', room, { person: seat.id }))}>
            Lend {name} the floor
          </Act>
          <Button
            onClick={then(() => void live.do('class.lend_floor', room, { person: seat.id, seconds: BRIEFLY }))}
            sx={{ flex: 'none' }}
          >
            … for 2 min
          </Button>
        </Box>
      )}
      {place.hands.includes(seat.id) && (
        <Act onClick={then(() => void live.do('class.lower_hand', room, { person: seat.id }))}>
          Take down the hand of {name}
        </Act>
      )}
      <OnStage {...{ seat, sitting, at, place, onClose }} />
      <MoveTo {...{ seat, sitting, onClose }} />
      <Today {...{ seat, sitting, at }} />
      <Rights {...{ seat, sitting, at, place, room }} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Act onClick={then(() => turn('class.send_to_wait'))}>Send {name} back to wait</Act>
        <Act onClick={then(() => turn('class.remove'))}>Remove {name} from the class</Act>
      </Box>
    </>
  );
}

/** While there are sound and picture: what they send, and how one asks them for more, or for less. */
function OnStage({ seat, sitting, at, place, onClose }: Pick<Props, 'seat' | 'sitting' | 'at' | 'place' | 'onClose'>) {
  const live = useLive();
  const stage = useStageState();
  const invited = useStaff(sitting)?.invited.find(({ person }) => person === seat.id);
  if (!stage?.up || stage.place !== at) return null;
  const name = firstName(seat.name);
  const { sound, picture } = stage.people.find(({ id }) => id === seat.id) ?? { sound: false, picture: false };
  const ask = (device: Device) => () => {
    onClose();
    void live.do('class.invite', placeStream(sitting, at), { person: seat.id, device });
  };
  const mute = () => {
    onClose();
    void live.do('class.mute', placeStream(sitting, at), { person: seat.id });
  };
  const large = () => {
    onClose();
    void live.do('class.make_large', placeStream(sitting, at), { person: place.large === seat.id ? null : seat.id });
  };
  const link = stage.links.get(seat.id);
  const asked = invited && (invited.device === 'microphone' ? 'speak' : 'show the camera');
  return (
    <Box component="section" aria-label={`How ${seat.name} is heard and seen`}>
      <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 0.5 }}>
        Microphone {sound ? 'on' : 'off'}, camera {picture ? 'on' : 'off'}
        {link &&
          ` · ${link === 'weak' ? 'a weak connection: fewer pictures are sent there' : 'a poor connection: only sound is sent there'}`}
        {invited?.yes === null && ` · invited to ${asked}, no answer yet`}
        {invited?.yes === false && ` · would rather not ${asked} now`}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {sound && <Act onClick={mute}>Mute {name}</Act>}
        {(picture || place.large === seat.id) && (
          <Act onClick={large}>
            {place.large === seat.id ? `Make ${name} small again` : `Make ${name} large for all`}
          </Act>
        )}
        {!sound && !isStaff(seat) && <Act onClick={ask('microphone')}>Invite {name} to speak</Act>}
        {!picture && !isStaff(seat) && <Act onClick={ask('camera')}>Invite {name} to show the camera</Act>}
      </Box>
    </Box>
  );
}

/** While rooms are open: to which they are moved. */
function MoveTo({ seat, sitting, onClose }: Pick<Props, 'seat' | 'sitting' | 'onClose'>) {
  const staff = useStaff(sitting);
  const rooms = useRooms(sitting);
  const activity = openActivity(staff?.activities ?? []);
  if (!activity) return null;
  const move = (room: string | null) => {
    onClose();
    rooms.assign(activity.id, seat.id, room, seat.place);
  };
  const open = activity.rooms.filter((room) => room.open && room.id !== seat.place);
  return (
    <Box component="section" aria-label={`Move ${seat.name}`}>
      <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 0.5 }}>Move to</Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, maxHeight: 120, overflowY: 'auto' }}>
        {seat.place !== MAIN && (
          <Button size="small" onClick={() => move(null)}>
            the main room
          </Button>
        )}
        {open.map(({ id, name }) => (
          <Button key={id} size="small" onClick={() => move(id)}>
            {name}
          </Button>
        ))}
      </Box>
    </Box>
  );
}

/** What they did in this class so far. */
function Today({ seat, sitting, at }: Pick<Props, 'seat' | 'sitting' | 'at'>) {
  const now = useServerNow(HEARD_EVERY);
  const row = useHeard(sitting, at)?.people.find(({ person }) => person === seat.id);
  return <Box sx={{ fontSize: 14 }}>Today: {row ? heardWords(row, now) : '…'}</Box>;
}

/** What they may do, and what decides it, each with the switch for an exception. */
function Rights({
  seat,
  sitting,
  at,
  place,
  room,
}: Pick<Props, 'seat' | 'sitting' | 'at' | 'place'> & { room: string }) {
  const live = useLive();
  const row = useSurvey(sitting, at, place, seat.id).find(({ person }) => person === seat.id);
  return (
    <Box component="section" aria-label={`What ${seat.name} may do`} aria-busy={!row}>
      <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 0.5 }}>May, and what decides it</Box>
      {row &&
        ALL.map((right) => {
          const { allowed, from } = row.rights[right];
          return (
            <Box key={right} sx={{ display: 'flex', alignItems: 'center', minHeight: 34 }}>
              <Box sx={{ flex: 1 }}>{ownWords(right)}</Box>
              <Box sx={{ flex: '0 0 140px', fontSize: 13, color: 'text.secondary' }}>
                {allowed ? 'yes' : 'no'}: {DECIDED[from]}
              </Box>
              <Switch
                size="small"
                checked={allowed}
                disabled={from === 'floor'}
                slotProps={{ input: { 'aria-label': `${ownWords(right)}: ${seat.name}` } }}
                onChange={(_, allow) => void live.do('class.rule', room, { right, allow, person: seat.id })}
              />
            </Box>
          );
        })}
    </Box>
  );
}

const Act = ({ onClick, children }: { onClick: () => void; children: ReactNode }) => (
  <Button onClick={onClick} sx={{ flex: '1 1 auto', justifyContent: 'flex-start', textAlign: 'left' }}>
    {children}
  </Button>
);
