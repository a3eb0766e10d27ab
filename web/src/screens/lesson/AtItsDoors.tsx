import Box from '@mui/material/Box';
import Switch from '@mui/material/Switch';
import { WELCOME_LIMIT } from '../../api/contracts';
import type { LessonFacts } from '../../api/shapes';
import { InkRow } from '../../board/ledge/InkRow';
import type { Ink } from '../../board/ledge/sticks';
import { Words } from '../../parts/words/Words';
import type { Changes } from './LessonEditing';

interface Props {
  lesson: LessonFacts;
  onChange: (changes: Changes) => void;
}

/** What those find who come to a class of the lesson: a welcome while they wait, and whether the class link lets them in. */
export function AtItsDoors({ lesson, onChange }: Props) {
  const ink = (lesson.welcome_ink as Ink | null) ?? null;
  return (
    <>
      <Words
        label="Welcome, for those who wait"
        lines={2}
        most={WELCOME_LIMIT}
        value={lesson.welcome}
        onSave={(words) => onChange({ welcome: words.trim() })}
      />
      {lesson.welcome !== '' && (
        <Box role="group" aria-label="Ink of the welcome">
          <InkRow ink={ink} onInk={(chosen) => onChange({ welcome_ink: chosen === ink ? null : chosen })} />
        </Box>
      )}
      <Box component="label" sx={{ display: 'flex', alignItems: 'center' }}>
        <Box component="span" sx={{ flex: 1 }}>
          {lesson.invited_only ? 'Only those who were invited come in' : 'Whoever has the class link comes in'}
        </Box>
        <Switch
          checked={lesson.invited_only}
          slotProps={{ input: { 'aria-label': 'Only those who were invited come in' } }}
          onChange={(_, invited_only) => onChange({ invited_only })}
        />
      </Box>
    </>
  );
}
