import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import type { Cue, LessonFacts } from '../../api/shapes';
import { CUE_EDITORS } from '../../cues/editors';
import { CUE_KINDS } from '../../cues/kinds';
import { newId } from '../../live/LiveClient';
import { MenuWord } from '../../parts/fields/MenuWord';

interface Props {
  lesson: LessonFacts;
  cues: Cue[];
  onCues: (cues: Cue[]) => void;
}

/** Kinds that are written at length: they have the whole width for themselves. */
const TALL = ['poll', 'set', 'rooms'];

/** What is prepared on a step, to be done by one key in class. */
export function StepCues({ lesson, cues, onCues }: Props) {
  const add = (cue: Omit<Cue, 'id'>) => onCues([...cues, { id: newId(), ...cue }]);
  const change = (id: string, changes: Partial<Cue>) =>
    onCues(cues.map((cue) => (cue.id === id ? { ...cue, ...changes } : cue)));
  return (
    <Box component="section" aria-label="Cues">
      <Box sx={{ display: 'flex', alignItems: 'center', mb: 0.75 }}>
        <Box sx={{ flex: 1 }}>Cues</Box>
        <MenuWord label="Add a cue" hint="Add a cue">
          {(close) =>
            Object.entries(CUE_KINDS).map(([kind, { adding, fresh }]) => {
              const cue = fresh(lesson.boards);
              return (
                <MenuItem key={kind} disabled={!cue} onClick={() => close(() => cue && add(cue))}>
                  {adding}
                </MenuItem>
              );
            })
          }
        </MenuWord>
      </Box>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 1 }}>
        {cues.map((cue, i) => (
          <Box
            component="li"
            key={cue.id}
            sx={{
              display: 'flex',
              gap: 0.75,
              ...(TALL.includes(cue.kind)
                ? { flexDirection: 'column', alignItems: 'flex-end' }
                : { alignItems: 'center' }),
            }}
          >
            <Box sx={{ flex: 1, minWidth: 0, width: TALL.includes(cue.kind) ? 1 : undefined }}>
              {CUE_EDITORS[cue.kind]({
                cue,
                number: i + 1,
                boards: lesson.boards,
                course: lesson.course_id,
                onChange: (changes) => change(cue.id, changes),
              })}
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
