import Button from '@mui/material/Button';
import { Line } from '../parts/frame/Line';
import { firstName } from '../parts/words/people';
import { useMyQuestions, useQuestions } from './useQuestions';

/** Over the paper, in every room: the question that is being answered. */
export function AnsweringNow({ sitting, staff }: { sitting: string; staff: boolean }) {
  const { now } = useQuestions(sitting);
  const acts = useMyQuestions(sitting, 0);
  if (!now) return null;
  return (
    <Line
      label="Answering now"
      marked
      says={
        <span dir="auto" style={{ fontSize: 18 }}>
          Answering now: <strong>{now.text}</strong>
          {now.name && ` (${firstName(now.name)})`}
        </span>
      }
    >
      {staff && (
        <>
          <Button onClick={() => acts.done(now.id)}>Answered</Button>
          <Button onClick={() => acts.answerNow(null)}>Later</Button>
        </>
      )}
    </Line>
  );
}
