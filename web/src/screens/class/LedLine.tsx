import Button from '@mui/material/Button';
import type { You } from '../../api/shapes';
import type { Led } from '../../board/BoardPaper';
import { useLive } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';
import { Line } from '../../parts/frame/Line';
import { useShortcuts } from '../../parts/hooks/useShortcuts';
import { firstName } from '../../parts/words/people';
import type { useRoaming } from './useRoaming';

interface Props {
  sitting: SittingState;
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  you: You;
  led: Led;
  looking: ReturnType<typeof useRoaming>;
}

/** Above the paper: whose view everyone has, whether one looks at something else, and the way back. */
export function LedLine({ sitting, place, room, you, led, looking }: Props) {
  const live = useLive();
  const { leader } = place;
  const leading = leader === you.id;
  const name = firstName(sitting.seats.find(({ id }) => id === leader)?.name ?? 'whoever leads');
  const away = looking.roaming || led.apart;
  const back = () => {
    looking.back();
    led.back();
  };
  useShortcuts({ ...(away && { r: ['Return to what the class sees', back] }) });
  if (!leader && !looking.roaming) return null;
  const keep = (on: boolean) => void live.do('class.keep_together', room, { on });
  return (
    <Line
      label="What the class sees"
      says={wordsFor({ leader, leading, name, staff: you.staff, looking: looking.roaming, ...led })}
    >
      {away && (
        <Button size="small" onClick={back}>
          {leader && !leading ? `Back to ${name}` : 'Back to what the class sees'}
        </Button>
      )}
      {leader && you.staff && !leading && (
        <Button size="small" onClick={() => keep(true)}>
          Lead yourself
        </Button>
      )}
      {leader && you.staff && (
        <Button size="small" onClick={() => keep(false)}>
          Let everyone roam
        </Button>
      )}
    </Line>
  );
}

interface Facts extends Omit<Led, 'back'> {
  leader: string | null;
  leading: boolean;
  name: string;
  staff: boolean;
  looking: boolean;
}

function wordsFor({ leader, leading, name, staff, looking, apart, elsewhere }: Facts): string {
  if (looking && staff) return 'Only you look at this. The class stays with what is on show.';
  if (looking) return leader ? `You look at another page than ${name}.` : 'You look at another page than the class.';
  if (leading) return 'Everyone sees what you see.';
  if (elsewhere) return `${name} looks at something else for a moment. You stay here.`;
  return apart ? `You look elsewhere than ${name}.` : `You see what ${name} sees.`;
}
