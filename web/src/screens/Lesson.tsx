import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { FIRST_PAGE } from '../api/contracts';
import { post } from '../api/http';
import type { Finding, LessonFacts, Step } from '../api/shapes';
import { BoardPaper } from '../board/BoardPaper';
import { LiveContext, useLiveClient } from '../live/hooks';
import { Fallible } from '../parts/frame/Fallible';
import { FromBelow } from '../parts/frame/FromBelow';
import { Notices } from '../parts/frame/Notices';
import { Ribbon } from '../parts/frame/Ribbon';
import { Waiting } from '../parts/frame/Waiting';
import { useWide } from '../parts/hooks/useWide';
import { Words } from '../parts/words/Words';
import { clockTime, day } from '../parts/words/times';
import { ShelfContext } from '../shelf/ShelfContext';
import { BoardSettings } from './lesson/BoardSettings';
import { Conflicts } from './lesson/Conflicts';
import { Invite } from './lesson/Invite';
import { LessonBoards } from './lesson/LessonBoards';
import { LessonMenu } from './lesson/LessonMenu';
import { LessonOutside } from './lesson/LessonOutside';
import { NewBoard } from './lesson/NewBoard';
import { Readiness } from './lesson/Readiness';
import { Rehearse } from './lesson/Rehearse';
import { RunSheet } from './lesson/RunSheet';
import { StepInspector } from './lesson/StepInspector';
import { edits } from './lesson/LessonEditing';
import { useLesson, type NewBoardFacts } from './lesson/useLesson';
import { WhatIsNew } from './lesson/WhatIsNew';

/** Preparing a lesson, in the geometry of the class at rest; for students, what is open to them of it. */
export default function Lesson() {
  const { id } = useParams();
  return <LessonById key={id} id={id!} />;
}

function LessonById({ id }: { id: string }) {
  const editing = useLesson(id);
  if (!editing.lesson) return <Waiting says={editing.error?.message ?? 'Opening the lesson'} />;
  if (editing.lesson.role === 'student') return <LessonOutside lesson={editing.lesson} />;
  return <Opened lesson={editing.lesson} editing={editing} />;
}

function Opened({ lesson, editing }: { lesson: LessonFacts; editing: ReturnType<typeof useLesson> }) {
  const client = useLiveClient('lesson', lesson.id);
  const go = useNavigate();
  // A board may be looked at without belonging to the chosen step.
  const [asked] = useSearchParams();
  const [looking, setLooking] = useState<string | null>(asked.get('board'));
  const [selected, setSelected] = useState<string | null>(
    () => (lesson.steps.find((one) => looking !== null && one.board === looking) ?? lesson.steps[0])?.id ?? null,
  );
  const [page, setPage] = useState<string | null>(null);
  const [wanted, setWanted] = useState<string | null>(null);
  const [making, setMaking] = useState(false);
  const wide = useWide();
  const [panel, setPanel] = useState<'sheet' | 'step' | null>(null);
  const [inspector, setInspector] = useState<HTMLElement | null>(null);
  const step = lesson.steps.find((candidate) => candidate.id === selected) ?? lesson.steps[0];
  const board = lesson.boards.find((candidate) => candidate.id === (looking ?? step?.board));
  const ends = lesson.starts_at + lesson.minutes * 60_000;
  const shown = page ?? board?.first_page ?? FIRST_PAGE;

  const boardId = board?.id;
  useEffect(() => {
    if (boardId) void post(`/api/boards/${boardId}/visits`).catch(() => undefined);
  }, [boardId]);

  const { edit } = editing;
  const change = (id: string, changes: Partial<Step>) => edit(edits.step(id, changes));
  const make = async (facts: NewBoardFacts) => {
    const made = await editing.addBoard(facts);
    if (step) change(step.id, { board: made.id });
    else setLooking(made.id);
    setPage(null);
  };
  const select = (id: string) => {
    setSelected(id);
    look(null);
  };
  const look = (to: string | null, at: string | null = null, mark: string | null = null) => {
    setLooking(to);
    setPage(at);
    setWanted(mark);
  };
  const mend = ({ step: place, board: on, page: at, mark, material }: Finding) => {
    if (material) go(`/shelf/${lesson.course_id}#${material}`);
    if (place) select(place);
    if (on) look(on, at, mark);
  };
  const shelf = useMemo(() => ({ course: lesson.course_id }), [lesson.course_id]);

  const runSheet = <RunSheet lesson={lesson} selected={step?.id ?? null} onSelect={select} onEdit={edit} />;
  const inspecting = (
    <Box
      component="aside"
      aria-label="Inspector"
      tabIndex={0}
      sx={{
        width: { xs: 1, md: 268 },
        flex: 'none',
        bgcolor: 'background.paper',
        borderLeft: 1,
        borderColor: 'divider',
        p: 1.75,
        overflowY: 'auto',
      }}
    >
      <Box ref={setInspector} sx={{ '&:not(:empty)': { mb: 2.5, pb: 2.5, borderBottom: 1, borderColor: 'divider' } }} />
      <WhatIsNew lesson={lesson} onBoard={look} />
      {step && (
        <StepInspector
          key={step.id}
          lesson={lesson}
          step={step}
          onChange={(changes) => change(step.id, changes)}
          onRemove={() => edit(edits.remove(step.id))}
          onRecordFrom={(record_from) => edit(() => ({ record_from }))}
          onNewBoard={() => setMaking(true)}
        />
      )}
      {board && (
        <Box sx={{ mt: 3 }}>
          <BoardSettings
            key={board.id}
            board={board}
            page={shown}
            onChange={(changes) => editing.changeBoard({ ...changes, id: board.id })}
          />
        </Box>
      )}
      <LessonBoards lesson={lesson} shown={board?.id ?? null} onBoard={look} onNew={() => setMaking(true)} />
      <Box component="h2" sx={{ typography: 'h2', mt: 3, mb: 2 }}>
        This lesson
      </Box>
      <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Words
          label="Title of the lesson"
          value={lesson.title}
          onSave={(title) => title.trim() && edit(() => ({ title: title.trim() }))}
        />
        <Words
          label="Length of the class, minutes"
          numeric
          value={String(lesson.minutes)}
          onSave={(text) => edit(() => ({ minutes: Math.min(Math.max(Number(text), 5), 600) }))}
        />
      </Box>
    </Box>
  );

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
        <Button component={Link} to={`/shelf/${lesson.course_id}`}>
          Shelf
        </Button>
        <LessonMenu lesson={lesson} />
        <Invite lesson={lesson} />
        <Rehearse lesson={lesson.id} />
        <Button component={Link} to={`/lessons/${lesson.id}/class?again`} variant="contained" color="primary">
          Go to the doors
        </Button>
      </Ribbon>
      <Conflicts conflicts={editing.conflicts} onClose={editing.forgetConflicts} />
      <Box sx={{ flex: 1, minHeight: 0, position: 'relative', display: 'flex' }}>
        {wide && runSheet}
        <Box component="main" sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', p: 1.25 }}>
          {client && board ? (
            <LiveContext value={client}>
              <ShelfContext value={shelf}>
                <Fallible what="The board" of={board.id}>
                  <BoardPaper
                    key={board.id}
                    id={board.id}
                    title={board.name}
                    page={shown}
                    onPage={setPage}
                    inspector={inspector}
                    wanted={wanted}
                  />
                </Fallible>
              </ShelfContext>
              <Notices />
            </LiveContext>
          ) : (
            <NoBoard step={step} onNewBoard={() => setMaking(true)} />
          )}
        </Box>
        {wide && inspecting}
        {!wide && panel && (
          <FromBelow onClose={() => setPanel(null)}>{panel === 'sheet' ? runSheet : inspecting}</FromBelow>
        )}
      </Box>
      {!wide && (
        <Box sx={{ flex: 'none', display: 'flex', gap: 1, p: 1 }}>
          <Button aria-expanded={panel === 'sheet'} onClick={() => setPanel(panel === 'sheet' ? null : 'sheet')}>
            Run sheet
          </Button>
          <Button aria-expanded={panel === 'step'} onClick={() => setPanel(panel === 'step' ? null : 'step')}>
            {step ? `About “${step.title}”` : 'About this lesson'}
          </Button>
        </Box>
      )}
      <Readiness findings={lesson.to_mend} onGo={mend} />
      {making && (
        <NewBoard
          course={lesson.course_id}
          name={step?.title ?? 'Board'}
          onMake={make}
          onClose={() => setMaking(false)}
        />
      )}
    </Box>
  );
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
      {step ? `“${step.title}” shows no board.` : 'Begin with a step on the run sheet, or with a board.'}
      <Button onClick={onNewBoard}>{step ? 'Make a board for it' : 'Make a board'}</Button>
    </Box>
  );
}
