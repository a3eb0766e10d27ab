import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import Switch from '@mui/material/Switch';
import type { Right } from '../../api/shapes';
import { useLive } from '../../live/hooks';
import type { PlaceState } from '../../live/place';
import type { SittingState } from '../../live/sitting';
import { placeStream } from '../../live/streams';
import { firstName } from '../../parts/words/people';
import { ALL, DECIDED, ruleWords } from '../../parts/words/rights';
import { useSurvey } from './useSurvey';

interface Props {
  sitting: SittingState;
  /** The place that they are in force in. */
  at: string;
  place: PlaceState;
  onClose: () => void;
}

/** All house rules of a place: for each right who may, where that came from, and who is an exception. */
export function HouseRules({ sitting, at, place, onClose }: Props) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="house-rules" maxWidth="sm" fullWidth>
      <DialogContent>
        <Box component="h2" id="house-rules" sx={{ mt: 0, mb: 1, typography: 'h2' }}>
          House rules now
        </Box>
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {ALL.map((right) => (
            <Rule key={right} {...{ right, sitting, at, place }} />
          ))}
        </Box>
        <Box component="h3" sx={{ mt: 2, mb: 0.5, typography: 'h3' }}>
          How the class writes
        </Box>
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          <HowOneWrites
            {...{ sitting, at, place }}
            what="oversight"
            words="Staff read what students write to one another"
          >
            From now on. What was written before stays with those who wrote it; the class is told.
          </HowOneWrites>
          <HowOneWrites {...{ sitting, at, place }} what="reactions" words="Posts take signs">
            Agree, thanks, good, puzzled
          </HowOneWrites>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Put away</Button>
      </DialogActions>
    </Dialog>
  );
}

interface HowProps extends Omit<Props, 'onClose'> {
  what: 'oversight' | 'reactions';
  words: string;
  children: string;
}

function HowOneWrites({ sitting, at, place, what, words, children }: HowProps) {
  const live = useLive();
  return (
    <Box component="li" sx={{ display: 'flex', alignItems: 'center', py: 0.75, borderTop: 1, borderColor: 'divider' }}>
      <Box sx={{ flex: 1 }}>
        {words}
        <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{children}</Box>
      </Box>
      <Switch
        checked={place[what]}
        slotProps={{ input: { 'aria-label': words } }}
        onChange={(_, on) => void live.do('class.set_exchange', placeStream(sitting.id, at), { [what]: on })}
      />
    </Box>
  );
}

function Rule({ right, sitting, at, place }: Omit<Props, 'onClose'> & { right: Right }) {
  const live = useLive();
  const room = placeStream(sitting.id, at);
  const allowed = place.rules.for_all[right] ?? false;
  const people = useSurvey(sitting.id, at, place);
  const others = people
    .map(({ person, rights }) => ({ person, ...rights[right] }))
    // Who may do anyway what the floor would let them, is none.
    .filter(({ from }) => from === 'exception' || (from === 'floor' && !allowed));
  const name = (person: string) => firstName(sitting.seats.find(({ id }) => id === person)?.name ?? 'Somebody');
  return (
    <Box component="li" sx={{ display: 'flex', alignItems: 'center', py: 0.75, borderTop: 1, borderColor: 'divider' }}>
      <Box sx={{ flex: 1 }}>
        {ruleWords(right, allowed)}
        <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
          {place.rules.by_step.includes(right) ? DECIDED.step : DECIDED.rule}
          {others.map(({ person, allowed, from }) => (
            <span key={person}>
              {' · '}
              {name(person)} {allowed ? 'may' : 'may not'}: {DECIDED[from]}
            </span>
          ))}
        </Box>
      </Box>
      <Switch
        checked={allowed}
        slotProps={{ input: { 'aria-label': ruleWords(right, true) } }}
        onChange={(_, allow) => void live.do('class.rule', room, { right, allow })}
      />
    </Box>
  );
}
