import Box from '@mui/material/Box';
import type { LessonFacts, Step } from '../../api/shapes';
import { Words } from '../../parts/words/Words';
import { AtItsDoors } from './AtItsDoors';
import { BoardSettings } from './BoardSettings';
import { LessonDay } from './LessonDay';
import { LessonBoards } from './LessonBoards';
import { edits } from './planEdits';
import { StepInspector } from './StepInspector';
import type { LessonWork } from './useLesson';
import { WhatIsNew } from './WhatIsNew';

interface Props {
  lesson: LessonFacts;
  step: Step | undefined;
  board: LessonFacts['boards'][number] | undefined;
  page: string;
  editing: LessonWork;
  /** Given the place in which the board tells of the marks that are chosen on it. */
  onMarks: (place: HTMLElement | null) => void;
  onBoard: (board: string | null) => void;
  onNewBoard: () => void;
}

/** Beside the paper: what is chosen on it, the chosen step, the board that is seen, and the lesson itself. */
export function LessonInspector({ lesson, step, board, page, editing, onMarks, onBoard, onNewBoard }: Props) {
  const { edit, seen } = editing;
  return (
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
      <Box ref={onMarks} sx={{ '&:not(:empty)': { mb: 2.5, pb: 2.5, borderBottom: 1, borderColor: 'divider' } }} />
      <WhatIsNew lesson={lesson} onBoard={onBoard} />
      {step && (
        <StepInspector
          key={step.id}
          lesson={lesson}
          step={step}
          seen={seen}
          onChange={(changes, from) => edit(edits.step(step.id, changes), from)}
          onRemove={() => edit(edits.remove(step.id))}
          onRecordFrom={(record_from) => edit(edits.set({ record_from }))}
          onNewBoard={onNewBoard}
        />
      )}
      {board && (
        <Box sx={{ mt: 3 }}>
          <BoardSettings
            key={board.id}
            board={board}
            page={page}
            onChange={(changes) => editing.changeBoard({ ...changes, id: board.id })}
          />
        </Box>
      )}
      <LessonBoards lesson={lesson} shown={board?.id ?? null} onBoard={onBoard} onNew={onNewBoard} />
      <Box component="h2" sx={{ typography: 'h2', mt: 3, mb: 2 }}>
        This lesson
      </Box>
      <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Words
          label="Title of the lesson"
          value={lesson.title}
          seen={seen}
          onSave={(title, from) => title.trim() && edit(edits.set({ title: title.trim() }), from)}
        />
        <LessonDay lesson={lesson} seen={seen} onEdit={edit} />
        <AtItsDoors lesson={lesson} seen={seen} onChange={(changes, from) => edit(edits.set(changes), from)} />
      </Box>
    </Box>
  );
}
