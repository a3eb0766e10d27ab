import Button from '@mui/material/Button';
import { useEffect, useRef } from 'react';
import { openRound } from '../../live/poll';
import { Line } from '../../parts/frame/Line';
import { usePolls } from '../usePolls';

interface Props {
  sitting: string;
  /** Comes up with the polls; called by itself when one opens. */
  onAnswer: () => void;
  /** None is open any more. */
  onOver: () => void;
  /** Whether they are up. */
  quiet: boolean;
}

/** On a phone, over the paper: that a poll is open, and the way to it. When one opens it comes up by itself. */
export function PollLine({ sitting, onAnswer, onOver, quiet }: Props) {
  const open = usePolls(sitting).filter(({ state }) => openRound(state));
  const rounds = open.map(({ id, state }) => `${id} ${state.rounds.length}`).join();
  const seen = useRef('');
  const tell = useRef({ onAnswer, onOver });
  useEffect(() => {
    tell.current = { onAnswer, onOver };
  });
  useEffect(() => {
    const fresh = rounds.split(',').some((round) => round && !seen.current.split(',').includes(round));
    if (fresh) tell.current.onAnswer();
    else if (seen.current && !rounds) tell.current.onOver();
    seen.current = rounds;
  }, [rounds]);
  if (open.length === 0 || quiet) return null;
  return (
    <Line label="Poll" marked says={<strong dir="auto">{open.at(-1)!.state.question.text}</strong>}>
      <Button variant="contained" color="primary" onClick={onAnswer}>
        Answer
      </Button>
    </Line>
  );
}
