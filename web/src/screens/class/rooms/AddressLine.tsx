import Button from '@mui/material/Button';
import type { You } from '../../../api/shapes';
import type { PlaceState } from '../../../live/place';
import type { SittingState } from '../../../live/sitting';
import { MAIN } from '../../../live/streams';
import { Line } from '../../../parts/frame/Line';
import { firstName } from '../../../parts/words/people';
import { openRooms } from '../../../live/sitting';
import { useRooms } from './useRooms';

interface Props {
  sitting: SittingState;
  you: You;
  /** The place that one is in. */
  at: string;
}

/** Above the paper: who is heard in every room, or shows a screen there; in rooms and, for those who teach, outside. */
export function AddressLine({ sitting, you, at }: Props) {
  const rooms = useRooms(sitting.id);
  const { address } = sitting;
  if (!address || (at === MAIN && !you.staff) || openRooms(sitting).length === 0) return null;
  const mine = address.person === you.id;
  const { voice, screen } = address;
  const does = voice && screen ? ['speak', ' and show a screen'] : voice ? ['speak', ''] : ['show a screen', ''];
  const [verb, more] = does as [string, string];
  const said = mine ? `${verb}${more}` : `${verb.replace(/^\w+/, '$&s')}${more.replace('show', 'shows')}`;
  return (
    <Line
      label="To every room"
      marked
      says={`${mine ? 'You' : firstName(address.name)} ${said} ${screen && !voice ? 'in' : 'to'} every room.`}
    >
      {at === MAIN && (
        <Button size="small" onClick={() => rooms.address(false, false)}>
          {mine ? 'Speak here alone' : 'End it'}
        </Button>
      )}
    </Line>
  );
}

/** @returns a place with the screen that is shown in every room, where nothing of its own is */
export function withAddress(place: PlaceState, { address }: SittingState): PlaceState {
  if (!place.room || place.room.closed || place.screen || !address?.screen) return place;
  const { person, name, since } = address;
  // What was shown in the room since then lies in front.
  return { ...place, screen: { person, name, since, paused: false, front: true } };
}
