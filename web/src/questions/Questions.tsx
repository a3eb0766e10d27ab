import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useState } from 'react';
import { AskBox } from './AskBox';
import { QuestionCard } from './QuestionCard';
import { useMyQuestions, useQuestions } from './useQuestions';

interface Props {
  sitting: string;
  staff: boolean;
}

/** What is asked in a class, in place of the posts: what is answered now, what waits, and what was answered. */
export function Questions({ sitting, staff }: Props) {
  const { now, open, answered, toReview, review, nameless } = useQuestions(sitting);
  const acts = useMyQuestions(sitting, open.length + answered.length);
  const [past, setPast] = useState(false);
  const rest = open.filter(({ id }) => id !== now?.id);
  const card = { acts, staff, others: open };
  return (
    <>
      <Box
        tabIndex={0}
        role="region"
        aria-label="Questions"
        sx={{
          flex: 1,
          minHeight: 0,
          overflowY: 'auto',
          px: 1.75,
          py: 1.25,
          display: 'flex',
          flexDirection: 'column',
          gap: 1,
        }}
      >
        {open.length + answered.length + toReview.length === 0 && (
          <Box sx={{ color: 'text.secondary' }}>Nothing was asked yet.</Box>
        )}
        {now && <QuestionCard question={now} now {...card} />}
        {toReview.map((question) => (
          <QuestionCard key={question.id} question={question} toReview {...card} />
        ))}
        {rest.map((question) => (
          <QuestionCard key={question.id} question={question} {...card} />
        ))}
        {answered.length > 0 && (
          <Button size="small" aria-expanded={past} onClick={() => setPast(!past)} sx={{ alignSelf: 'flex-start' }}>
            Answered {answered.length}
          </Button>
        )}
        {past && answered.map((question) => <QuestionCard key={question.id} question={question} {...card} />)}
      </Box>
      {staff ? (
        <Box sx={{ borderTop: 1, borderColor: 'divider', px: 1.5, py: 0.75 }}>
          <Setting label="I see questions before others do" on={review} onChange={(on) => acts.set(on, nameless)} />
          <Setting label="Names may be left out" on={nameless} onChange={(on) => acts.set(review, on)} />
        </Box>
      ) : (
        <AskBox {...{ sitting, review, nameless }} onAsk={acts.ask} />
      )}
    </>
  );
}

function Setting({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <FormControlLabel
      label={label}
      control={<Switch size="small" checked={on} onChange={(_, value) => onChange(value)} />}
      sx={{ display: 'flex', '& .MuiFormControlLabel-label': { fontSize: 13 } }}
    />
  );
}
