import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState, type ReactNode } from 'react';
import type { EarlierActivity, GroupPlan } from '../../../api/shapes';
import { currentStep, type SittingState } from '../../../live/sitting';
import type { StaffState } from '../../../live/staff';
import { PlanFields } from '../../../parts/rooms/PlanFields';
import { count, day } from '../../../parts/words/times';
import { RoomsHead } from './RoomsPage';
import { sizesInWords } from './rooms';
import { useOffered, useRooms, type Deal } from './useRooms';
import { Wishes } from './Wishes';

interface Props {
  sitting: SittingState;
  staff: StaffState;
  onDealt: () => void;
  /** Where else one can go. */
  children: ReactNode;
}

const PLAN: GroupPlan = { by: 'size', number: 4, way: 'deal', minutes: 15 };

const counted = (people: number) => count(people, 'person', 'people');

/** Whom there is to split; it takes two. */
function whom(people: number, before: boolean) {
  if (before) return `${counted(people)} on the roster`;
  return people < 2 ? 'Rooms can be dealt once two are here' : `${counted(people)} are here to be split`;
}

const stepsWithRooms = ({ steps }: StaffState) => steps.filter((step) => cueOf(step));
const cueOf = (step: StaffState['steps'][number] | undefined) => step?.cues?.find(({ kind }) => kind === 'rooms');

/** How people will be split: every arrangement of those who are here, how rooms are filled, what is wished, or an earlier activity again. */
export function Split({ sitting, staff, onDealt, children }: Props) {
  const [chosen, setChosen] = useState(() => currentStep(sitting)?.id ?? stepsWithRooms(staff)[0]?.id ?? null);
  const step = staff.steps.find(({ id }) => id === chosen);
  // What was prepared on the step, to begin with.
  const [plan, setPlan] = useState<GroupPlan>(cueOf(step)?.plan ?? PLAN);
  const before = sitting.status === 'planned';
  const forStep = (id: string) => {
    setChosen(id);
    setPlan(cueOf(staff.steps.find((one) => one.id === id))?.plan ?? PLAN);
  };
  const here = sitting.seats.filter(({ presence, place }) => presence !== 'left' && place === 'main').length;
  const offered = useOffered(sitting.id, String(here));
  const rooms = useRooms(sitting.id);
  const change = (changes: Partial<GroupPlan>) => setPlan({ ...plan, ...changes });
  const name = step?.title ?? 'Rooms';
  const deal = (wish: Deal) => rooms.deal.mutate({ ...wish, step: step?.id ?? null }, { onSuccess: onDealt });
  const people = offered?.people.length ?? 0;
  return (
    <Box component="section" aria-label="Split into rooms" sx={{ flex: 1, minHeight: 0, overflowY: 'auto' }}>
      <RoomsHead title={step ? `Rooms: ${name}` : name} says={offered && whom(people, before)}>
        {children}
        <Button
          variant="contained"
          color="primary"
          disabled={people < 2 || rooms.deal.isPending}
          onClick={() => deal({ plan, name, cue: cueOf(step)?.id })}
        >
          {(plan.way ?? 'deal') === 'deal' ? 'Deal the rooms' : 'Make the rooms'}
        </Button>
      </RoomsHead>
      <Box
        sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', lg: 'minmax(300px, 380px) 1fr' }, px: 0.5 }}
      >
        <Panel label="Group plan">
          {before && (
            <TextField
              select
              fullWidth
              size="small"
              label="For the step"
              value={chosen ?? ''}
              onChange={({ target }) => forStep(target.value)}
              sx={{ mb: 1.5 }}
            >
              {staff.steps.map(({ id, title }) => (
                <MenuItem key={id} value={id}>
                  {title}
                </MenuItem>
              ))}
            </TextField>
          )}
          <Box sx={{ mb: 1.5 }}>
            <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 0.5 }}>
              {people === 1 ? '1 person makes' : `${people} people make`}
            </Box>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, maxHeight: 148, overflowY: 'auto' }}>
              {offered?.offers.map((sizes) => (
                <Button
                  key={sizes.length}
                  size="small"
                  variant={plan.by === 'rooms' && plan.number === sizes.length ? 'outlined' : 'text'}
                  aria-pressed={plan.by === 'rooms' && plan.number === sizes.length}
                  onClick={() => change({ by: 'rooms', number: sizes.length })}
                  sx={{ border: 1, borderColor: 'divider', minHeight: { xs: 44, md: 32 }, minWidth: 44 }}
                >
                  {sizesInWords(sizes)}
                </Button>
              ))}
            </Box>
          </Box>
          <PlanFields plan={plan} boards={sitting.boards} onChange={change} />
        </Panel>
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
          <Panel label="Wishes">
            <Wishes
              people={offered?.people ?? []}
              wishes={plan.wishes ?? []}
              onWishes={(wishes) => change({ wishes })}
            />
          </Panel>
          {offered && offered.earlier.length > 0 && (
            <Panel label="Again, with the same people and their work">
              <Earlier
                rows={offered.earlier}
                busy={rooms.deal.isPending}
                onTake={(earlier) => deal({ plan, name: earlier.name, earlier: earlier.activity })}
              />
            </Panel>
          )}
        </Box>
      </Box>
    </Box>
  );
}

function Panel({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{ p: 1.75, border: 1, borderColor: 'divider', borderRadius: 1, bgcolor: 'background.paper' }}
    >
      <Box component="h3" sx={{ m: 0, mb: 1, fontSize: 16 }}>
        {label}
      </Box>
      {children}
    </Box>
  );
}

interface EarlierProps {
  rows: EarlierActivity[];
  busy: boolean;
  onTake: (earlier: EarlierActivity) => void;
}

function Earlier({ rows, busy, onTake }: EarlierProps) {
  return (
    <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {rows.map((row) => (
        <Box component="li" key={row.activity} sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 40 }}>
          <Box sx={{ flex: 1 }}>
            {row.name}
            {row.at && `, ${day(row.at, 'short')}`}:{' '}
            {row.rooms.map(({ name, people }) => `${name} ${people.length}`).join(' · ')}
          </Box>
          <Button size="small" disabled={busy} onClick={() => onTake(row)} sx={{ minHeight: { xs: 44, md: 32 } }}>
            Take these again
          </Button>
        </Box>
      ))}
    </Box>
  );
}
