import Box from '@mui/material/Box';
import type { PlaceState } from '../live/place';
import type { Rights } from '../api/shapes';
import { CaptionLines } from './CaptionLines';
import { CaptionMenu } from './CaptionMenu';
import { CaptionSwitch } from './CaptionSwitch';
import { WriteCaption } from './WriteCaption';
import { useCaptionWish } from './wish';

interface Props {
  place: PlaceState;
  /** Stream of the place. */
  room: string;
  rights?: Rights;
  /** Whether the sheet has the switch too. */
  staff: boolean;
}

/** Below the paper: captions for those who read them, and a field for those who write them. Where nobody does, nothing. */
export function ClassCaptions({ place: { captions, room: inRoom }, room, rights, staff }: Props) {
  const [wish] = useCaptionWish();
  const may = rights?.caption.allowed ?? false;
  const writes = may && wish.writing;
  // In a breakout room everybody may; there it is offered once somebody has begun.
  if (captions.length === 0 && !(staff || inRoom ? writes : may)) return null;
  return (
    <Box sx={{ flex: 'none', mt: 0.5, order: wish.above ? -1 : undefined, mb: wish.above ? 0.5 : undefined }}>
      {wish.on && captions.length > 0 && (
        <CaptionLines lines={captions.slice(-2)} lang={captions.at(-1)!.lang} wish={wish} />
      )}
      {writes && <WriteCaption room={room} />}
      <Box sx={{ display: 'flex', gap: 0.5, justifyContent: 'flex-end', '& button': { fontSize: 13, py: 0.25 } }}>
        {may && (!staff || writes) && <CaptionSwitch />}
        {captions.length > 0 && <CaptionMenu />}
      </Box>
    </Box>
  );
}
