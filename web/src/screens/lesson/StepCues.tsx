import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Cue, LessonFacts } from '../../api/resources';
import { newId } from '../../live/LiveClient';
import { MenuWord } from '../../parts/MenuWord';
import { Words } from '../../parts/Words';

interface Props {
  lesson: LessonFacts;
  cues: Cue[];
  onCues: (cues: Cue[]) => void;
}

/** What is prepared on a step, to be done by one key in class. */
export function StepCues({ lesson, cues, onCues }: Props) {
  const add = (cue: Omit<Cue, 'id'>) => onCues([...cues, { id: newId(), ...cue }]);
  const change = (id: string, changes: Partial<Cue>) =>
    onCues(cues.map((cue) => (cue.id === id ? { ...cue, ...changes } : cue)));
  const first = lesson.boards[0];
  return (
    <Box component="section" aria-label="Cues">
      <Box sx={{ display: 'flex', alignItems: 'center', mb: 0.75 }}>
        <Box sx={{ flex: 1 }}>Cues</Box>
        <MenuWord label="Add a cue" hint="Add a cue">
          {(close) => [
            <MenuItem key="timer" onClick={() => close(() => add({ kind: 'timer', seconds: 300 }))}>
              Start a timer
            </MenuItem>,
            <MenuItem
              key="show"
              disabled={!first}
              onClick={() => close(() => first && add({ kind: 'show', board: first.id, page: first.first_page }))}
            >
              Show another board
            </MenuItem>,
            <MenuItem key="record" onClick={() => close(() => add({ kind: 'record' }))}>
              Start recording
            </MenuItem>,
          ]}
        </MenuWord>
      </Box>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 1 }}>
        {cues.map((cue, i) => (
          <Box component="li" key={cue.id} sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
            <Box sx={{ flex: 1, minWidth: 0 }}>
              {cue.kind === 'record' && 'Start recording'}
              {cue.kind === 'timer' && (
                <Words
                  label={`Timer ${i + 1}, minutes`}
                  value={String((cue.seconds ?? 0) / 60)}
                  onSave={(text) => change(cue.id, { seconds: secondsOf(text) })}
                />
              )}
              {cue.kind === 'show' && (
                <TextField
                  select
                  fullWidth
                  size="small"
                  label="Show"
                  value={cue.board ?? ''}
                  onChange={(event) => {
                    const board = lesson.boards.find(({ id }) => id === event.target.value);
                    change(cue.id, { board: board?.id, page: board?.first_page });
                  }}
                >
                  {lesson.boards.map((board) => (
                    <MenuItem key={board.id} value={board.id}>
                      {board.name}
                    </MenuItem>
                  ))}
                </TextField>
              )}
            </Box>
            <Button
              aria-label={`Take out cue ${i + 1}`}
              onClick={() => onCues(cues.filter(({ id }) => id !== cue.id))}
              sx={{ minWidth: 0, px: 1 }}
            >
              Out
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** Minutes as people write them, 1.5 or 1:30; five seconds to ten hours. */
function secondsOf(text: string): number {
  const [minutes, seconds] = text.includes(':') ? text.split(':').map(Number) : [Number(text.replace(',', '.')), 0];
  const total = Math.round((minutes || 0) * 60 + (seconds || 0));
  return Math.min(Math.max(total, 5), 36_000);
}
