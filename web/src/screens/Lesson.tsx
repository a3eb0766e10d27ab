import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Finding, LessonFacts, Step } from '../api/shapes';
import { BoardPaper } from '../board/BoardPaper';
import { LiveContext, useConnection, useLiveClient } from '../live/hooks';
import { Fallible } from '../parts/frame/Fallible';
import { FromBelow } from '../parts/frame/FromBelow';
import { Notices } from '../parts/frame/Notices';
import { Ribbon } from '../parts/frame/Ribbon';
import { Waiting } from '../parts/frame/Waiting';
import { useWide } from '../parts/hooks/useWide';
import { clockTime, day } from '../parts/words/times';
import { GroundsContext } from '../polls/grounds';
import { ShelfContext } from '../shelf/ShelfContext';
import { Conflicts } from './lesson/Conflicts';
import { Invite } from './lesson/Invite';
import { LessonMenu } from './lesson/LessonMenu';
import { LessonOutside } from './lesson/LessonOutside';
import { LessonInspector } from './lesson/LessonInspector';
import { NewBoard } from './lesson/NewBoard';
import { NoBoard } from './lesson/NoBoard';
import { Readiness } from './lesson/Readiness';
import { Rehearse } from './lesson/Rehearse';
import { RunSheet } from './lesson/RunSheet';
import { edits } from './lesson/planEdits';
import { useLooking } from './lesson/useLooking';
import { useLesson, useLessonFacts, type LessonWork, type NewBoardFacts } from './lesson/useLesson';

/** Preparing a lesson, in the geometry of the class at rest; for students, what is open to them of it. */
export default function Lesson() {
  const { id } = useParams();
  return <LessonById key={id} id={id!} />;
}

function LessonById({ id }: { id: string }) {
  const { lesson, error, load } = useLessonFacts(id);
  if (!lesson) return <Waiting says={error?.message ?? 'Opening the lesson'} />;
  if (lesson.role === 'student') return <LessonOutside lesson={lesson} />;
  return <Teaching facts={lesson} load={load} />;
}

function Teaching({ facts, load }: { facts: LessonFacts; load: () => unknown }) {
  const client = useLiveClient('lesson', facts.id);
  if (!client) return <Waiting says="Opening the lesson" />;
  return (
    <LiveContext value={client}>
      <GroundsContext value={client}>
        <Notices />
        <Opened facts={facts} load={load} />
      </GroundsContext>
    </LiveContext>
  );
}

/** What the page knows of what one did: that the server has it, that it is on its way, or that it waits. */
function Kept({ editing }: { editing: LessonWork }) {
  const { status } = useConnection();
  const { error, saving } = editing;
  const waits = saving && status !== 'open';
  return (
    <Box role="status" sx={{ fontSize: 14, color: error || waits ? 'error.main' : 'text.secondary' }}>
      {error?.message ?? (waits ? 'not sent yet' : saving ? 'saving' : 'saved')}
    </Box>
  );
}

function Opened({ facts, load }: { facts: LessonFacts; load: () => unknown }) {
  const editing = useLesson(facts, load);
  const { lesson } = editing;
  const go = useNavigate();
  const looking = useLooking(lesson);
  const { step, board, page: shown, wanted, select, look } = looking;
  const [making, setMaking] = useState(false);
  const wide = useWide();
  const [panel, setPanel] = useState<'sheet' | 'step' | null>(null);
  const [inspector, setInspector] = useState<HTMLElement | null>(null);
  const ends = lesson.starts_at + lesson.minutes * 60_000;

  const { edit } = editing;
  const change = (id: string, changes: Partial<Step>) => edit(edits.step(id, changes));
  const make = async (facts: NewBoardFacts) => {
    const made = await editing.addBoard(facts);
    if (step) change(step.id, { board: made.id });
    look(step ? null : made.id);
  };
  const mend = ({ step: place, board: on, page: at, mark, material }: Finding) => {
    if (material) go(`/shelf/${lesson.course_id}#${material}`);
    if (place) select(place);
    if (on) look(on, at, mark);
  };
  const shelf = useMemo(() => ({ course: lesson.course_id }), [lesson.course_id]);

  const runSheet = (
    <Fallible what="The run sheet">
      <RunSheet
        lesson={lesson}
        selected={step?.id ?? null}
        onSelect={select}
        onEdit={edit}
        onUndo={editing.undo}
        onRedo={editing.redo}
      />
    </Fallible>
  );
  const inspecting = (
    <Fallible what="What is known of this step" of={step?.id}>
      <LessonInspector
        lesson={lesson}
        step={step}
        board={board}
        page={shown}
        editing={editing}
        onMarks={setInspector}
        onBoard={look}
        onNewBoard={() => setMaking(true)}
      />
    </Fallible>
  );

  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <Ribbon
        title={lesson.title}
        under={`${lesson.course} · ${day(lesson.starts_at, 'short')}, ${clockTime(lesson.starts_at)}–${clockTime(ends)}`}
      >
        <Box sx={{ flex: 1 }} />
        <Kept editing={editing} />
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
          {board ? (
            <ShelfContext value={shelf}>
              <Fallible what="The board" of={board.id}>
                <BoardPaper
                  key={board.id}
                  id={board.id}
                  title={board.name}
                  page={shown}
                  onPage={looking.turn}
                  inspector={inspector}
                  wanted={wanted}
                />
              </Fallible>
            </ShelfContext>
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
      <Fallible what="Readiness">
        <Readiness findings={lesson.to_mend} onGo={mend} />
      </Fallible>
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
