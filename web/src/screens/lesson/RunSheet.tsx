import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Tooltip from '@mui/material/Tooltip';
import { MOST_STEPS } from '../../api/contracts';
import type { LessonFacts, Step } from '../../api/shapes';
import { newId } from '../../live/LiveClient';
import { MOVED_BY_KEYS, movingWords } from '../../parts/words/moving';
import { edits, moveTo, type Edit } from './planEdits';
import { RunSheetRow } from './RunSheetRow';

interface Props {
  lesson: LessonFacts;
  selected: string | null;
  onSelect: (step: string) => void;
  onEdit: (edit: Edit | Edit[]) => void;
  /** Takes back what one did last; null where there is nothing. */
  onUndo: (() => void) | null;
  onRedo: (() => void) | null;
}

/** The plan of the lesson: its steps with their clock times, against the length of the class. */
export function RunSheet({ lesson, selected, onSelect, onEdit, onUndo, onRedo }: Props) {
  const { steps, sheet } = lesson;
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const startsAt = new Map(sheet.rows.map((row) => [row.id, row.starts_at]));
  const total = steps.reduce((sum, step) => sum + step.minutes, 0);
  const over = total > lesson.minutes;

  const titleOf = (id: string) => steps.find((step) => step.id === id)?.title ?? '';
  const placeOf = (id: string) => steps.findIndex((step) => step.id === id) + 1;
  const dropped = ({ active, over: onto }: DragEndEvent) => {
    if (onto && active.id !== onto.id) onEdit(moveTo(lesson, String(active.id), String(onto.id)));
  };
  const add = () => {
    const step: Step = {
      id: newId(),
      title: `Step ${steps.length + 1}`,
      minutes: 10,
      shortest: 5,
      notes: '',
      leads: 'paper',
      board: null,
      material: null,
      rules: null,
      cues: [],
    };
    onEdit(edits.add(step, steps.at(-1)?.id ?? null));
    onSelect(step.id);
  };

  return (
    <Box
      component="section"
      aria-label="Run sheet"
      sx={{
        width: { xs: 1, md: 300 },
        flex: 'none',
        bgcolor: 'background.paper',
        borderRight: 1,
        borderColor: 'divider',
        display: 'flex',
        flexDirection: 'column',
        minHeight: 0,
      }}
    >
      <Box sx={{ p: 1.75, pb: 1.5, borderBottom: 1, borderColor: 'divider' }}>
        {/* Where it comes from below, that is put away by a word at the end of this line. */}
        <Box sx={{ display: 'flex', alignItems: 'baseline', pr: { xs: 12, md: 0 } }}>
          <Box component="h2" sx={{ m: 0, typography: 'h1', fontSize: 21, flex: 1 }}>
            Run sheet
          </Box>
          <Box data-testid="total">
            <strong>{total}</strong> of {lesson.minutes} min
          </Box>
        </Box>
        <Box
          aria-hidden
          sx={{ mt: 1, height: 8, borderRadius: 4, overflow: 'hidden', display: 'flex', bgcolor: 'background.default' }}
        >
          <Box
            sx={{
              flex: `0 0 ${Math.min(total / lesson.minutes, lesson.minutes / Math.max(total, 1)) * 100}%`,
              bgcolor: 'primary.main',
            }}
          />
          {over && <Box sx={{ flex: 1, bgcolor: 'error.main' }} />}
        </Box>
      </Box>
      <Box component="ol" sx={{ flex: 1, overflowY: 'auto', m: 0, p: 0, listStyle: 'none' }}>
        <DndContext
          accessibility={{
            container: document.body,
            announcements: movingWords(titleOf, (id) => `place ${placeOf(id)} of ${steps.length}`),
            screenReaderInstructions: MOVED_BY_KEYS,
          }}
          sensors={sensors}
          collisionDetection={closestCenter}
          onDragEnd={dropped}
        >
          <SortableContext items={steps.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
            {steps.map((step) => (
              <RunSheetRow
                key={step.id}
                step={step}
                startsAt={startsAt.get(step.id)}
                selected={step.id === selected}
                boardName={lesson.boards.find((board) => board.id === step.board)?.name}
                boards={lesson.boards}
                records={lesson.record_from === step.id}
                onSelect={() => onSelect(step.id)}
              />
            ))}
          </SortableContext>
        </DndContext>
        {steps.length === 0 && (
          <Box component="li" sx={{ p: 2, color: 'text.secondary' }}>
            No steps yet. Add the first.
          </Box>
        )}
      </Box>
      <Box sx={{ p: 1.75, display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        <Button disabled={steps.length >= MOST_STEPS} onClick={add}>
          Add a step
        </Button>
        {over && <Squeeze lesson={lesson} onEdit={onEdit} />}
        <Box sx={{ ml: 'auto', display: 'flex', gap: 1 }}>
          <Button size="small" disabled={!onUndo} onClick={() => onUndo?.()}>
            Undo
          </Button>
          <Button size="small" disabled={!onRedo} onClick={() => onRedo?.()}>
            Redo
          </Button>
        </Box>
      </Box>
    </Box>
  );
}

/** Takes the minutes that are too many off the steps that can spare them, as the core has worked it out. */
function Squeeze({ lesson, onEdit }: { lesson: LessonFacts; onEdit: (edits: Edit[]) => void }) {
  const { squeeze, slack, over } = lesson.sheet;
  const known = isOf(lesson);
  if (known && !squeeze)
    return (
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
        {over} min too many; the steps can spare {slack}.
      </Box>
    );
  const rows = (known && squeeze) || [];
  const less = new Map(rows.map((row) => [row.step, row.less]));
  const names = rows.map((row) => {
    const step = lesson.steps.find(({ id }) => id === row.step);
    return `${row.less} min off ${step?.title}`;
  });
  const fit = (
    <Button
      color="primary"
      disabled={!known}
      onClick={() =>
        onEdit(
          lesson.steps
            .filter(({ id }) => less.get(id))
            .map((step) => edits.step(step.id, { minutes: step.minutes - less.get(step.id)! })),
        )
      }
    >
      Fit to {lesson.minutes} min
    </Button>
  );
  return known ? (
    <Tooltip describeChild title={names.join(', ')}>
      {fit}
    </Tooltip>
  ) : (
    fit
  );
}

/** Whether what was worked out is about the steps as they are shown: what was changed here the core has to see first. */
function isOf({ sheet, steps, minutes }: LessonFacts): boolean {
  const rows = new Map(sheet.rows.map((row) => [row.id, row]));
  const same = (step: Step) =>
    rows.get(step.id)?.minutes === step.minutes && rows.get(step.id)?.shortest === step.shortest;
  return sheet.minutes === minutes && rows.size === steps.length && steps.every(same);
}
