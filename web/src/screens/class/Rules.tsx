import Box from '@mui/material/Box';
import Switch from '@mui/material/Switch';
import { useLive } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';
import { firstName } from '../../parts/words/people';

/** What students may do now, in words, with the switch for each. */
export function Rules({ sitting, place, room }: { sitting: SittingState; place: PlaceState; room: string }) {
  const live = useLive();
  const { for_all, exceptions } = place.rules;
  const rights = [
    ['draw', 'All may draw', 'Nobody draws'],
    ['post', 'All may post', 'Nobody posts'],
    ['props', 'All use props', 'Nobody uses props'],
    ['arrange', 'All change each other’s marks', 'Each changes only their own'],
  ] as const;
  return (
    <Box component="section" aria-label="House rules">
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>House rules now</Box>
      {rights.map(([right, yes, no]) => {
        const names = exceptions
          .filter((row) => row.right === right)
          .map((row) => firstName(sitting.seats.find((seat) => seat.id === row.person)?.name ?? ''));
        return (
          <Box key={right} sx={{ display: 'flex', alignItems: 'center', fontSize: 14, minHeight: 34 }}>
            <Box sx={{ flex: 1 }}>
              {for_all[right] ? yes : no}
              {names.length > 0 && ` but ${names.join(', ')}`}
            </Box>
            <Switch
              size="small"
              checked={for_all[right] ?? false}
              slotProps={{ input: { 'aria-label': yes } }}
              onChange={(_, allow) => void live.do('class.rule', room, { right, allow })}
            />
          </Box>
        );
      })}
    </Box>
  );
}
