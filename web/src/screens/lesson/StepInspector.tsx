import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import type { LessonFacts, Step } from '../../api/shapes';
import { Words } from '../../parts/words/Words';
import { AtHand } from './AtHand';
import { StepCues } from './StepCues';
import { StepRules } from './StepRules';

interface Props {
  lesson: LessonFacts;
  step: Step;
  /** Number of the last entry of the plan that is shown. */
  seen?: number;
  onChange: (change: Partial<Step>, seen?: number) => void;
  onRemove: () => void;
  onRecordFrom: (step: string | null) => void;
  onNewBoard: () => void;
}

const NEW_BOARD = '+';

/** The chosen step in words: what it is called, how long, what is on show, who may do what, and what is prepared. */
export function StepInspector({ lesson, step, seen, onChange, onRemove, onRecordFrom, onNewBoard }: Props) {
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
      <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
        This step
      </Box>
      <Words
        label="Title"
        value={step.title}
        seen={seen}
        onSave={(title, from) => title.trim() && onChange({ title: title.trim() }, from)}
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Words
          label="Minutes"
          value={String(step.minutes)}
          numeric
          seen={seen}
          onSave={(text, from) => onChange(minutesOf(text, step), from)}
        />
        <Words
          label="Shortest"
          value={String(step.shortest)}
          numeric
          seen={seen}
          onSave={(text, from) => onChange({ shortest: Math.min(Number(text), step.minutes) }, from)}
        />
      </Box>
      <TextField
        select
        size="small"
        label="On show"
        value={step.board ?? ''}
        onChange={(event) =>
          event.target.value === NEW_BOARD ? onNewBoard() : onChange({ board: event.target.value || null })
        }
      >
        <MenuItem value="">No board</MenuItem>
        {lesson.boards.map((board) => (
          <MenuItem key={board.id} value={board.id}>
            {board.name}
          </MenuItem>
        ))}
        <MenuItem value={NEW_BOARD}>A new board</MenuItem>
      </TextField>
      <TextField
        select
        size="small"
        label="Large for everyone"
        value={step.leads}
        onChange={(event) => onChange({ leads: event.target.value as Step['leads'] })}
      >
        <MenuItem value="paper">The paper</MenuItem>
        <MenuItem value="people">The people</MenuItem>
        <MenuItem value="words">The words</MenuItem>
      </TextField>
      <AtHand course={lesson.course_id} material={step.material} onMaterial={(material) => onChange({ material })} />
      <Words
        label="Private notes"
        value={step.notes}
        lines={3}
        seen={seen}
        onSave={(notes, from) => onChange({ notes }, from)}
      />
      <StepRules rules={step.rules} onRules={(rules) => onChange({ rules })} />
      <StepCues lesson={lesson} cues={step.cues} onCues={(cues) => onChange({ cues })} />
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Box sx={{ flex: 1 }}>Start recording here</Box>
        <Switch
          checked={lesson.record_from === step.id}
          slotProps={{ input: { 'aria-label': 'Start recording here' } }}
          onChange={(_, on) => onRecordFrom(on ? step.id : null)}
        />
      </Box>
      <Button color="error" onClick={onRemove} sx={{ alignSelf: 'flex-start' }}>
        Take this step out
      </Button>
    </Box>
  );
}

function minutesOf(text: string, step: Step): Partial<Step> {
  const minutes = Number(text);
  return minutes < step.shortest ? { minutes, shortest: minutes } : { minutes };
}
