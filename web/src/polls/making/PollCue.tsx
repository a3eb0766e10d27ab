import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { post } from '../../api/http';
import type { Question } from '../../api/shapes';
import { freshQuestion } from '../words';
import { Bank } from './Bank';
import type { Ground } from './RegionFields';
import { QuestionFields } from './QuestionFields';

interface Props {
  question: Question | undefined;
  course: string;
  grounds: Ground[];
  onChange: (question: Question) => void;
}

/** A poll prepared on a step: written here, or taken from the bank; and kept there to be used again. */
export function PollCue({ question = freshQuestion(), course, grounds, onChange }: Props) {
  const [bank, setBank] = useState(false);
  const [says, setSays] = useState<string | null>(null);
  const [taken, setTaken] = useState(0);
  const keep = () =>
    void post(`/api/courses/${course}/polls`, { question }).then(
      () => setSays('It is in the bank.'),
      (error: Error) => setSays(error.message),
    );
  return (
    <Box
      component="section"
      aria-label={`Poll: ${question.text || 'not written yet'}`}
      sx={{
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        p: 1.25,
        display: 'flex',
        flexDirection: 'column',
        gap: 1,
      }}
    >
      {bank ? (
        <Bank
          onTake={(found) => {
            onChange(found);
            setTaken((n) => n + 1);
            setBank(false);
          }}
        />
      ) : (
        <QuestionFields key={taken} {...{ question, onChange, course, grounds }} />
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, alignItems: 'center' }}>
        <Button size="small" onClick={() => setBank(!bank)}>
          {bank ? 'Back to the poll' : 'From the bank'}
        </Button>
        {!bank && (
          <Button size="small" onClick={keep}>
            Keep in the bank
          </Button>
        )}
        <Box role="status" sx={{ fontSize: 13 }}>
          {says}
        </Box>
      </Box>
    </Box>
  );
}
