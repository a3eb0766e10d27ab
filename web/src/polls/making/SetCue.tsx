import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Cue } from '../../api/shapes';
import { newId } from '../../live/LiveClient';
import { Words } from '../../parts/words/Words';
import { freshQuestion, KIND_WORDS } from '../words';
import { Bank } from './Bank';
import type { Ground } from './RegionFields';
import { QuestionFields } from './QuestionFields';

type Questions = NonNullable<Cue['questions']>;

interface Props {
  label: string;
  questions: Questions;
  course: string;
  grounds: Ground[];
  onLabel: (label: string) => void;
  onQuestions: (questions: Questions) => void;
}

/** As many as one set holds, as `Core::Polls::Staged` has it. */
const MOST = 20;

/** Several polls prepared as one form: one at a time is written, the others are lines. */
export function SetCue({ label, questions, course, grounds, onLabel, onQuestions }: Props) {
  const [open, setOpen] = useState<string | null>(questions[0]?.id ?? null);
  const [bank, setBank] = useState(false);
  const add = (question = freshQuestion()) => {
    const id = newId();
    onQuestions([...questions, { id, question }]);
    setOpen(id);
    setBank(false);
  };
  return (
    <Box
      component="section"
      aria-label={`Form: ${label || 'no title yet'}`}
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
      <Words label="Form" most={80} value={label} onSave={onLabel} />
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 1 }}>
        {questions.map(({ id, question }, i) => (
          <Box component="li" key={id}>
            <Box
              sx={{
                display: 'flex',
                gap: 0.5,
                alignItems: 'center',
                flexWrap: 'wrap',
                '& button': { minWidth: 0, px: 1 },
              }}
            >
              <Button
                aria-expanded={open === id}
                onClick={() => setOpen(open === id ? null : id)}
                sx={{ flex: '1 0 100%', justifyContent: 'flex-start', whiteSpace: 'normal', textAlign: 'left' }}
              >
                {i + 1}. {question.text || 'Not written yet'} ({KIND_WORDS[question.kind]})
              </Button>
              {i > 0 && (
                <Button
                  aria-label={`Up: poll ${i + 1}`}
                  onClick={() => onQuestions(questions.toSpliced(i - 1, 2, questions[i]!, questions[i - 1]!))}
                >
                  Up
                </Button>
              )}
              <Button
                aria-label={`Out: poll ${i + 1}`}
                onClick={() => onQuestions(questions.filter((one) => one.id !== id))}
              >
                Out
              </Button>
            </Box>
            {open === id && (
              <Box sx={{ mt: 1 }}>
                <QuestionFields
                  question={question}
                  course={course}
                  grounds={grounds}
                  onChange={(changed) =>
                    onQuestions(questions.map((one) => (one.id === id ? { id, question: changed } : one)))
                  }
                />
              </Box>
            )}
          </Box>
        ))}
      </Box>
      {bank && <Bank onTake={add} />}
      {questions.length < MOST && (
        <Box sx={{ display: 'flex', gap: 0.5 }}>
          <Button size="small" onClick={() => add()}>
            One more poll
          </Button>
          <Button size="small" aria-expanded={bank} onClick={() => setBank(!bank)}>
            From the bank
          </Button>
        </Box>
      )}
    </Box>
  );
}
