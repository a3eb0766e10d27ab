import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState, type ReactNode } from 'react';
import { currentStep, type SittingState } from '../../../live/sitting';
import type { StaffState } from '../../../live/staff';
import { Dealt } from './Dealt';
import { standingOf } from './rooms';
import { Split } from './Split';
import { WalkRound } from './WalkRound';
import { Work } from './Work';

interface Props {
  sitting: SittingState;
  staff: StaffState;
  /** The place that one is in. */
  at: string;
  onLeave: () => void;
}

/** For staff, in place of the board: how people will be split, who is where, and every room alive once they are open. */
export function RoomsPage({ sitting, staff, at, onLeave }: Props) {
  const { open, ready, made } = standingOf(staff.activities, currentStep(sitting)?.id);
  const [anew, setAnew] = useState(false);
  const before = sitting.status === 'planned';
  const back = (
    <Button variant="text" onClick={onLeave} title={before ? 'To the doors' : 'To the board. Key: o'}>
      Back
    </Button>
  );
  if (open) return <WalkRound {...{ sitting, activity: open, at, back, onLeave }} />;
  if (ready && !anew) {
    const more = <Button onClick={() => setAnew(true)}>{before ? 'Split for another step' : 'Split otherwise'}</Button>;
    return <Dealt key={ready.id} {...{ sitting, staff, activity: ready, back, more }} />;
  }
  if (made && !anew)
    return (
      <Work key={made.id} {...{ sitting, activity: made }} onShown={onLeave}>
        {back}
        <Button onClick={() => setAnew(true)}>Split anew</Button>
      </Work>
    );
  return (
    <Split {...{ sitting, staff }} onDealt={() => setAnew(false)}>
      {back}
      {(ready ?? made) && (
        <Button onClick={() => setAnew(false)}>{ready ? 'Look at who is where' : 'What the rooms made'}</Button>
      )}
    </Split>
  );
}

/** What the pages of rooms have above. */
export function RoomsHead({ title, says, children }: { title: string; says: ReactNode; children: ReactNode }) {
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        columnGap: 1,
        rowGap: 0.5,
        px: 0.5,
        pb: 1,
        '& button': { minHeight: { xs: 44, md: 36 } },
      }}
    >
      <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
        {title}
      </Box>
      <Box sx={{ flex: 1, minWidth: 160, color: 'text.secondary', fontSize: 14 }}>{says}</Box>
      {children}
    </Box>
  );
}
