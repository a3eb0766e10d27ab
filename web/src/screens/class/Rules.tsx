import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Switch from '@mui/material/Switch';
import { lazy, Suspense, useState } from 'react';
import type { Right } from '../../api/shapes';
import { useLive } from '../../live/hooks';
import { withFloor, type PlaceState } from '../../live/place';
import { inWords } from '../../parts/exchange/audience';
import type { SittingState } from '../../live/sitting';
import { MAIN, partOf } from '../../live/streams';
import { firstName } from '../../parts/words/people';
import { ALL, ruleWords } from '../../parts/words/rights';
import { useStageState } from '../../stage/useStage';

const HouseRules = lazy(() => import('./HouseRules').then(({ HouseRules }) => ({ default: HouseRules })));

/** Those that are always told; of the others, those to which somebody is an exception. */
const USUAL: readonly Right[] = ['speak', 'draw', 'post', 'props', 'arrange'];

/** What students may do now, in words, with the switch for each, and a way to all of them. */
export function Rules({ sitting, place, room }: { sitting: SittingState; place: PlaceState; room: string }) {
  const live = useLive();
  const [all, setAll] = useState(false);
  const stage = useStageState();
  const { for_all, exceptions } = place.rules;
  const nameOf = (person: string) => firstName(sitting.seats.find(({ id }) => id === person)?.name ?? '');
  const names = (right: Right) => exceptions.filter((row) => row.right === right).map((row) => nameOf(row.person));
  return (
    <Box component="section" aria-label="House rules">
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>House rules now</Box>
      {ALL.filter((right) => USUAL.includes(right) || names(right).length > 0).map((right) => (
        <Box key={right} sx={{ display: 'flex', alignItems: 'center', fontSize: 14, minHeight: 34 }}>
          <Box sx={{ flex: 1 }}>
            {ruleWords(right, for_all[right] ?? false)}
            {names(right).length > 0 && ` but ${names(right).join(', ')}`}
            {right === 'draw' &&
              !for_all.draw &&
              place.floor &&
              ` but ${inWords(withFloor(place).map(nameOf))}, with the floor`}
          </Box>
          <Switch
            size="small"
            checked={for_all[right] ?? false}
            slotProps={{ input: { 'aria-label': ruleWords(right, true) } }}
            onChange={(_, allow) => void live.do('class.rule', room, { right, allow })}
          />
        </Box>
      ))}
      <Box sx={{ display: 'flex', alignItems: 'center', fontSize: 14, minHeight: 34 }}>
        <Box sx={{ flex: 1 }}>{place.leader ? 'Kept together' : 'Everyone looks where they like'}</Box>
        <Switch
          size="small"
          checked={place.leader !== null}
          slotProps={{ input: { 'aria-label': 'Keep everyone together' } }}
          onChange={(_, on) => void live.do('class.keep_together', room, { on })}
        />
      </Box>
      {stage?.up && stage.place && (
        <Button onClick={() => void live.do('class.mute', room, {})} sx={{ width: 1, mt: 0.5 }}>
          Mute all students
        </Button>
      )}
      <Button onClick={() => setAll(true)} sx={{ width: 1, mt: 0.5 }}>
        All house rules
      </Button>
      {all && (
        <Suspense fallback={null}>
          <HouseRules sitting={sitting} at={partOf(room) ?? MAIN} place={place} onClose={() => setAll(false)} />
        </Suspense>
      )}
    </Box>
  );
}
