import Button from '@mui/material/Button';
import { useEffect, useRef } from 'react';
import { openRound } from '../../live/poll';
import { Line } from '../../parts/frame/Line';
import { usePolls } from '../usePolls';

interface Props {
  sitting: string;
  /** Comes up with the polls; called by itself when one opens. */
  onAnswer: () => void;
}

/** On a phone, over the paper: that a poll is open, and the way to it. When one opens it comes up by itself. */
export function PollLine({ sitting, onAnswer }: Props) {
  const open = usePolls(sitting).filter(({ state }) => openRound(state));
  const rounds = open.map(({ id, state }) => `${id} ${state.rounds.length}`).join();
  const seen = useRef('');
  const answer = useRef(onAnswer);
  useEffect(() => {
    answer.current = onAnswer;
  });
  useEffect(() => {
    const fresh = rounds.split(',').some((round) => round && !seen.current.split(',').includes(round));
    seen.current = rounds;
    if (fresh) answer.current();
  }, [rounds]);
  if (open.length === 0) return null;
  return (
    <Line label="Poll" marked says={<strong dir="auto">{open.at(-1)!.state.question.text}</strong>}>
      <Button variant="contained" color="primary" onClick={onAnswer}>
        Answer
      </Button>
    </Line>
  );
}
