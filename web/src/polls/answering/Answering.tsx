import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState, type ReactNode } from 'react';
import type { Question } from '../../api/shapes';
import { useKept } from '../../parts/hooks/useKept';
import { answerWords, taskOf, type PollKind } from '../words';
import { Choices } from './Choices';
import { InOrder } from './InOrder';
import { NumberField, ShortField, WordFields } from './Fields';
import { Scale } from './Scale';
import { Spot } from './Spot';
import { isWhole, startOf, valueOf, type Draft } from './draft';

interface Props {
  /** Tells this poll and its round from all others. */
  name: string;
  question: Question;
  /** What one has answered already; undefined when nothing. */
  mine: unknown;
  /** @returns why it was not taken; null when it was */
  onGive: (value: unknown) => Promise<string | null>;
}

export interface FieldProps {
  question: Question;
  draft: Draft;
  onDraft: (draft: Draft) => void;
}

/** How each kind of poll is answered. */
const FIELDS: Record<PollKind, (props: FieldProps) => ReactNode> = {
  one: Choices,
  several: Choices,
  yes_no: Choices,
  order: InOrder,
  short: ShortField,
  cloud: WordFields,
  scale: Scale,
  number: NumberField,
  spot: Spot,
  // On the board itself.
  marks: () => null,
};

/** Where one answers a poll: chosen with one tap, sent with another. What was refused stays as it was. */
export function Answering({ name, question, mine, onGive }: Props) {
  const [draft, setDraft] = useKept<Draft>(`answer ${name}`);
  const [says, setSays] = useState<string | null>(null);
  const [under, setUnder] = useState(false);
  const Field = FIELDS[question.kind];
  const now = draft ?? startOf(question, mine);
  const answered = mine !== undefined && mine !== null;
  if (answered && question.change === false)
    return <Box role="status">You answered: {answerWords(question, mine)}. It stays.</Box>;

  if (question.kind === 'marks') return <Box>{taskOf(question)}.</Box>;

  const send = async () => {
    setUnder(true);
    const refusal = await onGive(valueOf(question, now));
    setUnder(false);
    setSays(refusal ?? 'Your answer is in.');
    if (!refusal) setDraft(() => null);
  };
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
      sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}
    >
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{taskOf(question)}</Box>
      <Field
        question={question}
        draft={now}
        onDraft={(next) => {
          setDraft(() => next);
          setSays(null);
        }}
      />
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        <Button
          type="submit"
          variant="contained"
          color="primary"
          disabled={under || !isWhole(question, now) || (answered && draft === null)}
        >
          {answered ? 'Change my answer' : 'Answer'}
        </Button>
        <Box role="status" sx={{ flex: 1, minWidth: 120, fontSize: 14 }}>
          {under ? 'On its way' : (says ?? (answered && draft === null ? 'You have answered.' : ''))}
        </Box>
      </Box>
    </Box>
  );
}
