import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { FIRST_PAGE } from '../api/contracts';
import type { LessonFacts, Step } from '../api/resources';
import { BoardPaper } from '../board/BoardPaper';
import { LiveContext, useLiveClient } from '../live/hooks';
import { Notices } from '../parts/Notices';
import { Ribbon } from '../parts/Ribbon';
import { Slats } from '../parts/Slats';
import { Waiting } from '../parts/Waiting';
import { clockTime, count, day } from '../parts/times';
import { Invite } from './lesson/Invite';
import { Rehearse } from './lesson/Rehearse';
import { RunSheet } from './lesson/RunSheet';
import { StepInspector, Words } from './lesson/StepInspector';
import { useLesson } from './lesson/useLesson';

/** Preparing a lesson, in the geometry of the class at rest. */
export default function Lesson() {
  const { id } = useParams();
  const editing = useLesson(id!);
  // New boards are streams of their own; a fresh connection takes them in.
  const boards = editing.lesson?.boards.length;
  if (!editing.lesson) return <Waiting says={editing.error?.message ?? 'Opening the lesson'} />;
  return <Opened key={boards} lesson={editing.lesson} editing={editing} />;
}

function Opened({ lesson, editing }: { lesson: LessonFacts; editing: ReturnType<typeof useLesson> }) {
  const client = useLiveClient('lesson', lesson.id);
  const [selected, setSelected] = useStep(lesson);
  const [page, setPage] = useState(FIRST_PAGE);
  const step = lesson.steps.find((candidate) => candidate.id === selected) ?? lesson.steps[0];
  const board = lesson.boards.find((candidate) => candidate.id === step?.board);
  const ends = lesson.starts_at + lesson.minutes * 60_000;

  const change = (id: string, changes: Partial<Step>) =>
    editing.setSteps(lesson.steps.map((candidate) => (candidate.id === id ? { ...candidate, ...changes } : candidate)));
  const newBoard = async () => {
    if (!step) return;
    const made = await editing.addBoard(step.title);
    change(step.id, { board: made.id });
  };
  const select = (id: string) => {
    setSelected(id);
    setPage(FIRST_PAGE);
  };

  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <Ribbon
        title={lesson.title}
        under={`${lesson.course} · ${day(lesson.starts_at, 'short')}, ${clockTime(lesson.starts_at)}–${clockTime(ends)}`}
      >
        <Box sx={{ flex: 1 }} />
        <Box role="status" sx={{ fontSize: 14, color: editing.error ? 'error.main' : 'text.secondary' }}>
          {editing.error?.message ?? (editing.saving ? 'saving' : 'saved')}
        </Box>
        <Invite lesson={lesson} />
        <Rehearse lesson={lesson.id} />
        <Button component={Link} to={`/lessons/${lesson.id}/class?again`} variant="contained" color="primary">
          Go to the doors
        </Button>
      </Ribbon>
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
        <RunSheet lesson={lesson} selected={step?.id ?? null} onSelect={select} onSteps={editing.setSteps} />
        <Box component="main" sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', p: 1.25 }}>
          {client && board ? (
            <LiveContext value={client}>
              <BoardPaper key={board.id} id={board.id} title={board.name} page={page} onPage={setPage} mayDraw />
              <Notices />
            </LiveContext>
          ) : (
            <NoBoard step={step} onNewBoard={() => void newBoard()} />
          )}
        </Box>
        <Box
          component="aside"
          aria-label="Inspector"
          sx={{
            width: 268,
            flex: 'none',
            bgcolor: 'background.paper',
            borderLeft: 1,
            borderColor: 'divider',
            p: 1.75,
            overflowY: 'auto',
          }}
        >
          {step && (
            <StepInspector
              key={step.id}
              lesson={lesson}
              step={step}
              onChange={(changes) => change(step.id, changes)}
              onRemove={() => editing.setSteps(lesson.steps.filter(({ id }) => id !== step.id))}
              onRecordFrom={(record_from) => editing.save({ record_from })}
              onNewBoard={() => void newBoard()}
            />
          )}
          <Box component="h2" sx={{ typography: 'h2', mt: 3, mb: 2 }}>
            This lesson
          </Box>
          <Words
            label="Title of the lesson"
            value={lesson.title}
            onSave={(title) => title.trim() && editing.save({ title: title.trim() })}
          />
        </Box>
      </Box>
      <Readiness lesson={lesson} onStep={select} />
    </Box>
  );
}

const chosen = new Map<string, string>();

/** The chosen step, kept while the lesson is open even when a new board makes the page connect afresh. */
function useStep(lesson: LessonFacts) {
  const [selected, setSelected] = useState<string | null>(chosen.get(lesson.id) ?? lesson.steps[0]?.id ?? null);
  const select = (id: string) => {
    chosen.set(lesson.id, id);
    setSelected(id);
  };
  return [selected, select] as const;
}

function NoBoard({ step, onNewBoard }: { step: Step | undefined; onNewBoard: () => void }) {
  return (
    <Box
      sx={{
        flex: 1,
        display: 'grid',
        placeContent: 'center',
        justifyItems: 'center',
        gap: 1.5,
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        bgcolor: 'background.paper',
      }}
    >
      {step ? `“${step.title}” shows no board.` : 'Begin with a step on the run sheet.'}
      {step && <Button onClick={onNewBoard}>Make a board for it</Button>}
    </Box>
  );
}

function Readiness({ lesson, onStep }: { lesson: LessonFacts; onStep: (step: string) => void }) {
  const { to_mend: mend } = lesson;
  return (
    <Box component="section" aria-label="Readiness" sx={{ flex: 'none' }}>
      <Slats />
      <Box sx={{ height: 56, px: 1.75, display: 'flex', alignItems: 'center', gap: 1.5, overflowX: 'auto' }}>
        <strong>{mend.length === 0 ? 'Ready for class' : `${count(mend.length, 'thing')} to mend`}</strong>
        {mend.map((finding, i) => (
          <Button
            key={i}
            disabled={finding.step === null}
            onClick={() => finding.step && onStep(finding.step)}
            sx={{
              bgcolor: 'veranda.ochreWash',
              borderColor: 'veranda.ochre',
              fontWeight: 400,
              '&.Mui-disabled': { color: 'text.primary', borderColor: 'veranda.ochre' },
            }}
          >
            {finding.says}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
