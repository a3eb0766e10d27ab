import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { openRound } from '../../live/poll';
import { currentStep, type SittingState } from '../../live/sitting';
import type { StaffState } from '../../live/staff';
import { useShortcuts } from '../../parts/hooks/useShortcuts';
import { NewPoll } from '../making/NewPoll';
import { usePollActs, usePolls } from '../usePolls';
import { SetCard } from './SetCard';
import { StaffCard } from './StaffCard';

interface Props {
  sitting: SittingState;
  staff: StaffState;
  /** The place one is in. */
  at: string;
  /** Id of the course whose bank one takes from. */
  course: string;
  onLook: (poll: string) => void;
}

/** For staff: the polls that are at hand besides those that the present step has as cues; open ones first. */
export function PollsOfSheet({ sitting, staff, at, course, onLook }: Props) {
  const polls = usePolls(sitting.id);
  const [making, setMaking] = useState(false);
  const step = currentStep(sitting)?.id;
  const here = staff.steps.find(({ id }) => id === step)?.cues ?? [];
  const cues = new Set(here.flatMap(({ id, questions = [] }) => [id, ...questions.map((row) => row.id)]));
  const state = (id: string) => polls.find((poll) => poll.id === id)?.state;
  const isOpen = (id: string) => {
    const known = state(id);
    return known !== undefined && openRound(known) !== undefined;
  };
  const acts = usePollActs(sitting.id);
  const last = polls.findLast(({ state }) => !openRound(state));
  useShortcuts({
    a: ['Ask something', () => setMaking(true)],
    ...(last && {
      l: ['Have pairs talk the last poll over, then ask it again', () => void acts.talk(last.id, last.state, at)],
    }),
  });
  const rows = staff.polls
    .filter(({ id, away }) => !away && !cues.has(id))
    .sort((one, other) => Number(isOpen(other.id)) - Number(isOpen(one.id)));
  const sets = [...new Map(rows.flatMap(({ set }) => (set ? [[set.id, set] as const] : []))).values()];
  return (
    <Box component="section" aria-label="Polls">
      <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 0.5 }}>Polls</Box>
      <Box sx={{ display: 'flex', flexDirection: 'column', gap: 0.75 }}>
        {sets.map(({ id, title }) => (
          <SetCard
            key={id}
            sitting={sitting.id}
            {...{ at, id, title, onLook }}
            polls={rows.filter(({ set }) => set?.id === id).map((row) => row.id)}
          />
        ))}
        {rows
          .filter(({ set }) => !set)
          .map(({ id, question }) => (
            <StaffCard key={id} sitting={sitting.id} {...{ at, id, question, onLook }} state={state(id)} />
          ))}
        <Button size="small" title="Key: a" onClick={() => setMaking(true)} sx={{ alignSelf: 'flex-start' }}>
          Ask something
        </Button>
      </Box>
      {making && <NewPoll {...{ sitting, at, course }} onClose={() => setMaking(false)} />}
    </Box>
  );
}
