import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import { WELCOME_LIMIT } from '../../api/contracts';
import type { LessonFacts, Material } from '../../api/shapes';
import { InkRow } from '../../board/ledge/InkRow';
import type { Ink } from '../../board/ledge/sticks';
import { Words } from '../../parts/words/Words';
import type { PlanFields } from './planEdits';

interface Props {
  lesson: LessonFacts;
  /** Number of the last entry of the plan that is shown. */
  seen?: number;
  onChange: (changes: PlanFields, seen?: number) => void;
}

/** What those find who come to a class of the lesson: a welcome while they wait, and whether the class link lets them in. */
export function AtItsDoors({ lesson, seen, onChange }: Props) {
  const shelf = useQuery({
    queryKey: ['shelf', lesson.course_id, 'pictures'],
    queryFn: () => get<Material[]>(`/api/courses/${lesson.course_id}/materials`),
  });
  const pictures = (shelf.data ?? []).filter(({ kind, state }) => kind === 'picture' && state === 'ready');
  const ink = (lesson.welcome_ink as Ink | null) ?? null;
  return (
    <>
      <Words
        label="Welcome, for those who wait"
        lines={2}
        most={WELCOME_LIMIT}
        value={lesson.welcome}
        seen={seen}
        onSave={(words, from) => onChange({ welcome: words.trim() }, from)}
      />
      {lesson.welcome !== '' && (
        <Box role="group" aria-label="Ink of the welcome">
          <InkRow ink={ink} onInk={(chosen) => onChange({ welcome_ink: chosen === ink ? null : chosen })} />
        </Box>
      )}
      {pictures.length > 0 && (
        <TextField
          select
          size="small"
          label="Picture, for those who wait"
          value={pictures.some(({ id }) => id === lesson.welcome_picture) ? lesson.welcome_picture : ''}
          onChange={(event) => onChange({ welcome_picture: event.target.value || null })}
        >
          <MenuItem value="">None</MenuItem>
          {pictures.map(({ id, title }) => (
            <MenuItem key={id} value={id}>
              {title}
            </MenuItem>
          ))}
        </TextField>
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
