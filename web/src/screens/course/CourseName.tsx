import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { COURSE_NAME_LIMIT } from '../../api/contracts';
import { useLive } from '../../live/hooks';
import { courseStream } from '../../live/streams';

/** What a course is called; instructors call it otherwise in place. */
export function CourseName({ id, name, decides }: { id: string; name: string; decides: boolean }) {
  const live = useLive();
  const [draft, setDraft] = useState<string | null>(null);
  const save = async () => {
    const told = await live.do('course.set', courseStream(id), { name: draft!.trim() });
    if (told.ok) setDraft(null);
  };
  if (draft === null)
    return (
      <>
        <Box component="h1" sx={{ m: 0, typography: 'h1', flex: 1, overflowWrap: 'anywhere' }}>
          {name}
        </Box>
        {decides && <Button onClick={() => setDraft(name)}>Rename</Button>}
      </>
    );
  return (
    <Box
      component="form"
      sx={{ display: 'flex', gap: 1, flex: 1, flexWrap: 'wrap' }}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <TextField
        autoFocus
        size="small"
        label="Name of the course"
        value={draft}
        onChange={({ target }) => setDraft(target.value)}
        onKeyDown={({ key }) => key === 'Escape' && setDraft(null)}
        slotProps={{ htmlInput: { maxLength: COURSE_NAME_LIMIT } }}
        sx={{ flex: 1, minWidth: 240 }}
      />
      <Button type="submit" variant="contained" disabled={draft.trim() === ''}>
        Save
      </Button>
      <Button onClick={() => setDraft(null)}>Leave it</Button>
    </Box>
  );
}
