import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { POLL_KINDS, POLL_LIMITS } from '../../api/contracts';
import type { Question } from '../../api/shapes';
import { Words } from '../../parts/words/Words';
import { ShelfPicker } from '../../shelf/ShelfPicker';
import { Picture } from '../answering/Picture';
import { freshQuestion, hasOptions, KIND_WORDS, pointsOf, type PollKind } from '../words';
import { OptionFields } from './OptionFields';
import { RegionFields, type Ground } from './RegionFields';
import { RightFields } from './RightFields';

interface Props {
  question: Question;
  onChange: (question: Question) => void;
  /** Id of the course from whose shelf a picture is taken; none without. */
  course?: string;
  /** Pages that it may be about. */
  grounds?: Ground[];
}

/** What a poll asks, how it is answered, and what becomes of the answers. */
export function QuestionFields({ question, onChange, course, grounds = [] }: Props) {
  const set = (changes: Partial<Question>) => onChange(plain({ ...question, ...changes }));
  const [more, setMore] = useState(false);
  const [picking, setPicking] = useState(false);
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25 }}>
      <Words
        label="Question"
        lines={2}
        most={POLL_LIMITS.text}
        value={question.text}
        onSave={(text) => set({ text: text.trim() })}
      />
      <TextField
        select
        size="small"
        label="People"
        value={question.kind}
        onChange={(event) => onChange(plain(otherKind(question, event.target.value as PollKind)))}
      >
        {POLL_KINDS.map((kind) => (
          <MenuItem key={kind} value={kind}>
            {KIND_WORDS[kind as PollKind]}
          </MenuItem>
        ))}
      </TextField>
      {hasOptions(question.kind) && <OptionFields question={question} onChange={set} course={course} />}
      {question.kind === 'scale' && <ScaleFields question={question} onChange={set} />}
      {question.kind === 'number' && (
        <Words label="Unit" most={20} value={question.unit ?? ''} onSave={(unit) => set({ unit: unit || undefined })} />
      )}
      {(question.kind === 'marks' || question.kind === 'spot') && grounds.length > 0 && (
        <RegionFields {...{ question, grounds }} onChange={set} />
      )}
      {course && question.kind !== 'marks' && (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
          {question.picture && <Picture of={question.picture} alt="The picture of the question" small />}
          <Button size="small" onClick={() => setPicking(true)}>
            {question.picture ? 'Another picture' : question.kind === 'spot' ? 'Choose the picture' : 'Add a picture'}
          </Button>
          {question.picture && (
            <Button size="small" onClick={() => set({ picture: undefined })}>
              Without it
            </Button>
          )}
        </Box>
      )}
      {picking && course && (
        <ShelfPicker
          course={course}
          onClose={() => setPicking(false)}
          onSlide={(material, { slide }) => {
            setPicking(false);
            set({
              picture: { material: material.id, version: material.version, slide },
              board: undefined,
              page: undefined,
            });
          }}
        />
      )}
      <RightFields question={question} onChange={set} />
      {question.kind !== 'marks' && (
        <FormControlLabel
          label="No names: nobody learns who answered what"
          control={
            <Switch
              size="small"
              checked={question.names === false}
              onChange={(_, off) => set({ names: off ? false : undefined })}
            />
          }
        />
      )}
      <Button size="small" aria-expanded={more} onClick={() => setMore(!more)} sx={{ alignSelf: 'flex-start' }}>
        {more ? 'Less' : 'Time limit, results, changes'}
      </Button>
      {more && <Terms question={question} onChange={set} />}
    </Box>
  );
}

interface PartProps {
  question: Question;
  onChange: (changes: Partial<Question>) => void;
}

function ScaleFields({ question, onChange }: PartProps) {
  const [low = '', high = ''] = question.ends ?? [];
  const ends = (one: string, other: string) => onChange({ ends: one || other ? [one, other] : undefined });
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 90px', gap: 1 }}>
      <Words label="1 means" most={40} value={low} onSave={(words) => ends(words, high)} />
      <Words label={`${pointsOf(question)} means`} most={40} value={high} onSave={(words) => ends(low, words)} />
      <TextField
        select
        size="small"
        label="Points"
        value={pointsOf(question)}
        onChange={(event) => onChange({ points: Number(event.target.value) })}
      >
        {[2, 3, 4, 5, 6, 7, 10, 11].map((points) => (
          <MenuItem key={points} value={points}>
            {points}
          </MenuItem>
        ))}
      </TextField>
    </Box>
  );
}

const LIMITS = [0, 15, 30, 60, 120, 300, 600];

function Terms({ question, onChange }: PartProps) {
  return (
    <>
      <TextField
        select
        size="small"
        label="Time limit"
        value={question.seconds ?? 0}
        onChange={(event) => onChange({ seconds: Number(event.target.value) || undefined })}
      >
        {[...new Set([...LIMITS, question.seconds ?? 0])].map((seconds) => (
          <MenuItem key={seconds} value={seconds}>
            {seconds === 0 ? 'None' : seconds < 60 ? `${seconds} s` : `${seconds / 60} min`}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        size="small"
        label="Students see results"
        value={question.results ?? 'shown'}
        onChange={(event) => onChange({ results: event.target.value as Question['results'] })}
      >
        <MenuItem value="shown">when I show them</MenuItem>
        <MenuItem value="after">once they have answered</MenuItem>
        <MenuItem value="never">never</MenuItem>
      </TextField>
      <FormControlLabel
        label="Answers may be changed until it is closed"
        control={
          <Switch
            size="small"
            checked={question.change !== false}
            onChange={(_, on) => onChange({ change: on ? undefined : false })}
          />
        }
      />
    </>
  );
}

/** The same question asked otherwise: what does not belong to the other kind goes. */
function otherKind(question: Question, kind: PollKind): Question {
  const { text, picture, names, change, results, seconds, explanation } = question;
  const options = hasOptions(kind) ? { options: question.options ?? freshQuestion(kind).options } : {};
  const right = hasOptions(kind) && kind !== 'order' && question.kind !== 'order' && hasOptions(question.kind);
  return {
    kind,
    text,
    picture,
    names: kind === 'marks' ? undefined : names,
    change,
    results,
    seconds,
    explanation,
    ...options,
    ...(right && { right: question.right }),
  };
}

/** Without what is undefined, which JSON does not know. */
const plain = (question: Question): Question =>
  Object.fromEntries(Object.entries(question).filter(([, value]) => value !== undefined)) as unknown as Question;
