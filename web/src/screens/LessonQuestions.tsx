import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { get, post } from '../api/http';
import type { Asking, ClassQuestions, LessonFacts, OpenLesson } from '../api/shapes';
import { Centred } from '../parts/frame/Centred';
import { Shell } from '../parts/frame/Shell';
import { Waiting } from '../parts/frame/Waiting';
import { useSaving } from '../parts/hooks/useSaving';
import { day } from '../parts/words/times';
import { Words } from '../parts/words/Words';

/** What was asked in the classes of a lesson. Staff answer in writing what was left, and whoever was there reads it. */
export default function LessonQuestions() {
  const { id } = useParams();
  const lesson = useQuery({
    queryKey: ['lesson', id],
    queryFn: () => get<LessonFacts | OpenLesson>(`/api/lessons/${id}`),
    retry: false,
  });
  const asked = useQuery({
    queryKey: ['questions', id],
    queryFn: () => get<{ classes: ClassQuestions[] }>(`/api/lessons/${id}/questions`),
    retry: false,
  });
  const error = lesson.error ?? asked.error;
  if (error) return <Centred alert={error.message} />;
  if (!lesson.data || !asked.data) return <Waiting />;
  const staff = 'steps' in lesson.data;
  return (
    <Shell>
      <Box component="main" sx={{ p: { xs: 2, md: 3 }, maxWidth: 860, mx: 'auto', width: 1, overflowY: 'auto' }}>
        <Box component="h1" sx={{ m: 0, typography: 'h1' }}>
          Questions
        </Box>
        <Box sx={{ color: 'text.secondary', mb: 2 }}>{lesson.data.title}</Box>
        {asked.data.classes.length === 0 && 'Nothing was asked in a class of this lesson.'}
        {asked.data.classes.map((row) => (
          <OfClass key={row.sitting} row={row} staff={staff} onAnswered={() => void asked.refetch()} />
        ))}
      </Box>
    </Shell>
  );
}

interface OfClassProps {
  row: ClassQuestions;
  staff: boolean;
  onAnswered: () => void;
}

function OfClass({ row, staff, onAnswered }: OfClassProps) {
  const { save, says } = useSaving();
  const left = row.questions.filter(({ state }) => state === 'open' || state === 'waiting');
  const answered = row.questions.filter(({ state }) => state === 'answered');
  return (
    <Box component="section" aria-label={`Questions of ${row.at ? day(row.at) : 'a class'}`} sx={{ mb: 4 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
        <Box component="h2" sx={{ m: 0, typography: 'h2', flex: 1 }}>
          {row.at ? day(row.at) : row.title}
        </Box>
        {staff && <Button onClick={() => save(`/api/classes/${row.sitting}/questions.csv`)}>Save as CSV</Button>}
        <span role="status">{says}</span>
      </Box>
      {[...left, ...answered].map((question) => (
        <Row key={question.id} {...{ row, question, staff, onAnswered }} />
      ))}
    </Box>
  );
}

function Row({ row, question, staff, onAnswered }: OfClassProps & { question: Asking }) {
  const { id, text, name, votes, state, answer, answered_at } = question;
  const told = [
    name ?? 'no name',
    votes > 0 ? `${votes} asked this too` : null,
    state === 'open' ? 'no answer yet' : null,
    state === 'waiting' ? 'to review, only staff see this' : null,
  ];
  const send = (wish: { words?: string; pass?: boolean }) =>
    void post(`/api/classes/${row.sitting}/questions/${id}`, wish).then(onAnswered);
  return (
    <Box component="article" aria-label={text} sx={{ py: 1.5, borderBottom: 1, borderColor: 'divider' }}>
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{told.filter((words) => words !== null).join(' · ')}</Box>
      <Box dir="auto" sx={{ fontWeight: 650, overflowWrap: 'anywhere', whiteSpace: 'pre-wrap' }}>
        {text}
      </Box>
      {answer && (
        <Box dir="auto" sx={{ mt: 0.5, pl: 1, borderLeft: 3, borderColor: 'primary.main', whiteSpace: 'pre-wrap' }}>
          {answer}
        </Box>
      )}
      {answered_at && !answer && row.recorded && (
        <Link to={`/recordings/${row.sitting}?at=${answered_at - BEFORE}`}>Hear the answer in the recording</Link>
      )}
      {staff && state === 'open' && (
        <Box sx={{ mt: 1 }}>
          <Words label="Answer in writing" lines={2} most={2_000} value="" onSave={(words) => send({ words })} />
        </Box>
      )}
      {state === 'waiting' && (
        <Box sx={{ mt: 1, display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <Button onClick={() => send({ pass: true })}>Let all see</Button>
          <Button onClick={() => send({ pass: false })}>Keep to staff</Button>
        </Box>
      )}
    </Box>
  );
}

/** ms before it was said to be answered from which on one listens. */
const BEFORE = 60_000;
