import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import type { ReactNode } from 'react';
import type { BoardRow, Cue } from '../api/shapes';
import { ClipField } from '../clips/ClipField';
import { PlanFields } from '../parts/rooms/PlanFields';
import { PollCue } from '../polls/making/PollCue';
import { SetCue } from '../polls/making/SetCue';
import { Words } from '../parts/words/Words';

interface EditorProps {
  cue: Cue;
  /** Its place among the cues of the step, from 1. */
  number: number;
  boards: BoardRow[];
  /** Id of the lesson's course. */
  course: string;
  onChange: (changes: Partial<Cue>) => void;
}

/** How each kind of cue is prepared. */
export const CUE_EDITORS: Record<Cue['kind'], (props: EditorProps) => ReactNode> = {
  timer: ({ cue, number, onChange }) => (
    <>
      <Words
        label={`Timer ${number}, minutes`}
        value={String((cue.seconds ?? 0) / 60)}
        onSave={(text) => onChange({ seconds: secondsOf(text) })}
      />
      <FormControlLabel
        label="Ends when all are done"
        control={
          <Switch
            size="small"
            checked={cue.until_done ?? false}
            onChange={(_, until_done) => onChange({ until_done })}
          />
        }
      />
    </>
  ),
  show: ({ cue, boards, onChange }) => (
    <TextField
      select
      fullWidth
      size="small"
      label="Show"
      value={cue.board ?? ''}
      onChange={(event) => {
        const board = boards.find(({ id }) => id === event.target.value);
        onChange({ board: board?.id, page: board?.first_page });
      }}
    >
      {boards.map((board) => (
        <MenuItem key={board.id} value={board.id}>
          {board.name}
        </MenuItem>
      ))}
    </TextField>
  ),
  hand_out: ({ cue, boards, onChange }) => (
    <BoardOf label="Hand out" board={cue.board} boards={boards} onBoard={(board) => onChange({ board })} />
  ),
  pairs: ({ cue, boards, onChange }) => (
    <>
      <TextField
        select
        fullWidth
        size="small"
        label="Draw"
        value={cue.size ?? 2}
        onChange={(event) => onChange({ size: Number(event.target.value) === 3 ? 3 : 2 })}
        sx={{ mb: 1 }}
      >
        <MenuItem value={2}>Pairs</MenuItem>
        <MenuItem value={3}>Threes</MenuItem>
      </TextField>
      <BoardOf
        label="Each with a copy of"
        none="No board"
        board={cue.board}
        boards={boards}
        onBoard={(board) => onChange({ board })}
      />
    </>
  ),
  rooms: ({ cue, boards, onChange }) => (
    <>
      <PlanFields
        plan={cue.plan ?? { by: 'size', number: 4 }}
        onChange={(changes) => onChange({ plan: { ...(cue.plan ?? { by: 'size', number: 4 }), ...changes } })}
      />
      <Box sx={{ mt: 1 }}>
        <BoardOf
          label="A copy for each of"
          none="The board of the step"
          board={cue.board}
          boards={boards}
          onBoard={(board) => onChange({ board })}
        />
      </Box>
    </>
  ),
  poll: ({ cue, course, boards, onChange }) => (
    <PollCue
      question={cue.question}
      course={course}
      grounds={boards.map(groundOf)}
      onChange={(question) => onChange({ question })}
    />
  ),
  set: ({ cue, course, boards, onChange }) => (
    <SetCue
      label={cue.label ?? ''}
      questions={cue.questions ?? []}
      course={course}
      grounds={boards.map(groundOf)}
      onLabel={(label) => onChange({ label })}
      onQuestions={(questions) => onChange({ questions })}
    />
  ),
  clip: ({ cue, course, onChange }) => (
    <ClipField material={cue.material} course={course} onChoose={(material, label) => onChange({ material, label })} />
  ),
  record: () => 'Start recording',
};

const groundOf = ({ id, first_page, name }: BoardRow) => ({ board: id, page: first_page, name });

interface BoardOfProps {
  label: string;
  /** What there is to choose besides boards. */
  none?: string;
  board: string | undefined;
  boards: BoardRow[];
  onBoard: (board: string | undefined) => void;
}

const BoardOf = ({ label, none, board, boards, onBoard }: BoardOfProps) => (
  <TextField
    select
    fullWidth
    size="small"
    label={label}
    value={board ?? ''}
    onChange={(event) => onBoard(event.target.value || undefined)}
  >
    {none && <MenuItem value="">{none}</MenuItem>}
    {boards.map(({ id, name }) => (
      <MenuItem key={id} value={id}>
        {name}
      </MenuItem>
    ))}
  </TextField>
);

/** Minutes as people write them, 1.5 or 1:30; five seconds to ten hours. */
function secondsOf(text: string): number {
  const [minutes, seconds] = text.includes(':') ? text.split(':').map(Number) : [Number(text.replace(',', '.')), 0];
  const total = Math.round((minutes || 0) * 60 + (seconds || 0));
  return Math.min(Math.max(total, 5), 36_000);
}
