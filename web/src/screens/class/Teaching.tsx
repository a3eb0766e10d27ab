import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { BoardPaper } from '../../board/BoardPaper';
import { useConnection, useExchange, useLive } from '../../live/hooks';
import type { You } from '../../live/protocol';
import { currentStep, isRecording, type SittingState } from '../../live/sitting';
import { Announcer } from '../../parts/Announcer';
import { Bench } from '../../parts/Bench';
import { ClassTimer } from '../../parts/ClassTimer';
import { Exchange } from '../../parts/Exchange';
import { Lantern } from '../../parts/Lantern';
import { Ribbon } from '../../parts/Ribbon';
import { RunStrip } from '../../parts/RunStrip';
import { Sheet } from '../../parts/Sheet';
import { clockTime, drift } from '../../parts/times';
import { useNow } from '../../parts/useNow';
import { useShortcuts } from '../../parts/useShortcuts';
import { ShelfContext } from '../../shelf/ShelfContext';
import type { ClassFacts } from '../ClassScreen';
import { useRoaming } from './useRoaming';

interface Props {
  sitting: SittingState;
  you: You;
  facts: ClassFacts;
}

/** A class under way: plan, paper, words, and people in front. */
export function Teaching({ sitting, you, facts }: Props) {
  const live = useLive();
  const now = useNow();
  const { timing, rights } = useConnection();
  const exchange = useExchange(sitting.id);
  const view = useRoaming(sitting, you);
  const [learned, setLearned] = useState({ timing, at: now });
  if (learned.timing !== timing) setLearned({ timing, at: now });
  const age = Math.max(now - learned.at, 0);

  const stream = `sitting/${sitting.id}`;
  const step = currentStep(sitting);
  const move = (by: number) => {
    const next = sitting.steps[(step ? sitting.steps.indexOf(step) : -1) + by];
    if (next) void live.do('class.move', stream, { step: next.id });
  };
  const handUp = sitting.hands.includes(you.id);
  const hand = () => void live.do(handUp ? 'class.lower_hand' : 'class.raise_hand', stream, {});
  useShortcuts(you.staff ? { ']': () => move(1), '[': () => move(-1), h: hand } : { h: hand });

  const shelf = useMemo(() => (you.staff ? { course: facts.course } : null), [you.staff, facts.course]);
  const here = sitting.seats.filter((seat) => seat.presence !== 'left').length;
  const board = sitting.boards.find(({ id }) => id === view.shown?.board);

  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <Ribbon title={sitting.title} under={`${facts.rehearsal ? 'Rehearsal' : sitting.course} · ${here} here`}>
        {timing && (
          <RunStrip
            timing={timing}
            age={age}
            onStep={you.staff ? (id) => void live.do('class.move', stream, { step: id }) : undefined}
          />
        )}
        <Box sx={{ textAlign: 'right', lineHeight: 1.25, whiteSpace: 'nowrap' }}>
          <Box sx={{ fontWeight: 700 }}>{clockTime(now)}</Box>
          {timing && (
            <Box sx={{ fontSize: 13, color: timing.drift > 60_000 ? 'error.main' : 'text.secondary' }}>
              {drift(timing.projected_end, timing.drift)}
            </Box>
          )}
        </Box>
        <ClassTimer sitting={sitting} staff={you.staff} />
        <Recording sitting={sitting} now={now} staff={you.staff} />
        {you.staff ? <EndClass sitting={sitting} /> : <Leave />}
      </Ribbon>
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: { xs: 'column', md: 'row' } }}>
        {you.staff && <Sheet sitting={sitting} notes={facts.notes} timing={timing} age={age} />}
        <Box component="main" sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', p: 1.25, pb: 1 }}>
          {board && view.shown ? (
            <ShelfContext value={shelf}>
              <BoardPaper
                inClass
                key={board.id}
                id={board.id}
                title={board.name}
                page={view.shown.page}
                onPage={view.go}
                mayDraw={rights?.draw.allowed ?? false}
                reason={rights?.draw.says}
              />
            </ShelfContext>
          ) : (
            <Box
              sx={{
                flex: 1,
                display: 'grid',
                placeItems: 'center',
                border: 1,
                borderColor: 'divider',
                borderRadius: 1,
                bgcolor: 'background.paper',
              }}
            >
              <Box sx={{ textAlign: 'center' }}>
                {you.staff && !step
                  ? 'The doors are open. Begin with the first step when you are ready.'
                  : 'No board is on show yet.'}
              </Box>
            </Box>
          )}
          {view.roaming && (
            <Button onClick={view.back} sx={{ alignSelf: 'center', mt: 0.75 }}>
              Back to the page on show
            </Button>
          )}
        </Box>
        <Box
          sx={{
            width: { xs: 1, md: 288 },
            height: { xs: 190, md: 'auto' },
            flex: 'none',
            bgcolor: 'background.paper',
            borderLeft: 1,
            borderColor: 'divider',
            display: 'flex',
          }}
        >
          <Exchange sitting={sitting.id} />
        </Box>
      </Box>
      <Bench sitting={sitting} you={you}>
        {you.staff ? (
          <Hands sitting={sitting} />
        ) : (
          <Button
            variant={handUp ? 'contained' : 'outlined'}
            color={handUp ? 'primary' : 'inherit'}
            onClick={hand}
            sx={{ minHeight: 52, px: 3 }}
          >
            {handUp ? 'Take down my hand' : 'Raise my hand'}
          </Button>
        )}
      </Bench>
      <Announcer sitting={sitting} exchange={exchange} me={you.id} />
    </Box>
  );
}

function Recording({ sitting, now, staff }: { sitting: SittingState; now: number; staff: boolean }) {
  const live = useLive();
  const running = isRecording(sitting);
  const recorded = sitting.stretches.reduce((sum, { from, to }) => sum + Math.max((to ?? now) - from, 0), 0);
  const lantern = <Lantern recorded={recorded} running={running} />;
  if (!staff) return lantern;
  return (
    <Button
      title={running ? 'Stop recording' : 'Start recording'}
      onClick={() => void live.do('class.record', `sitting/${sitting.id}`, { on: !running })}
      sx={{ px: 1, border: 'none', bgcolor: 'transparent', textAlign: 'left' }}
    >
      {lantern}
    </Button>
  );
}

function EndClass({ sitting }: { sitting: SittingState }) {
  const live = useLive();
  const [asking, setAsking] = useState(false);
  return (
    <>
      <Button color="error" onClick={() => setAsking(true)}>
        End class
      </Button>
      <Dialog open={asking} onClose={() => setAsking(false)} aria-labelledby="end-class">
        <DialogContent id="end-class">End the class for everyone? Boards and posts are kept.</DialogContent>
        <DialogActions>
          <Button onClick={() => setAsking(false)}>Go on teaching</Button>
          <Button
            variant="contained"
            color="error"
            onClick={() => void live.do('class.end', `sitting/${sitting.id}`, {})}
          >
            End the class
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}

function Leave() {
  const live = useLive();
  const go = useNavigate();
  const leave = () => {
    live.leave();
    go('/');
  };
  return <Button onClick={leave}>Leave</Button>;
}

/** For staff: how many hands, and the first of them. */
function Hands({ sitting }: { sitting: SittingState }) {
  const live = useLive();
  const first = sitting.seats.find((seat) => seat.id === sitting.hands[0]);
  return (
    <Box sx={{ width: 236 }}>
      <Box sx={{ mb: 1 }}>
        <strong>{sitting.hands.length}</strong> {sitting.hands.length === 1 ? 'hand' : 'hands'} up
      </Box>
      <Button
        disabled={!first}
        onClick={() => first && void live.do('class.lower_hand', `sitting/${sitting.id}`, { person: first.id })}
        sx={{ width: 1 }}
      >
        {first ? `${first.name.split(' ')[0]} was heard` : 'No hand to take down'}
      </Button>
    </Box>
  );
}
