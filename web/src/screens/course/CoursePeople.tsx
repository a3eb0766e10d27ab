import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { CoursePerson } from '../../api/shapes';
import { useLive } from '../../live/hooks';
import { peopleStream } from '../../live/streams';

type Role = CoursePerson['role'];
const PARTS: [Role, string][] = [
  ['instructor', 'Instructors'],
  ['assistant', 'Assistants'],
  ['student', 'Students'],
];

interface Props {
  id: string;
  people: CoursePerson[];
  /** Id of whoever looks. */
  you: string;
  /** Whether one says who plays which part. */
  decides: boolean;
}

/** Who belongs to a course, by the part each plays. */
export function CoursePeople({ id, people, you, decides }: Props) {
  const sorted = [...people].sort((one, other) => one.name.localeCompare(other.name));
  return (
    <Box component="section" aria-labelledby="people">
      <Box component="h2" id="people" sx={{ m: 0, mb: 1, typography: 'h2' }}>
        People
      </Box>
      {PARTS.map(([role, title]) => {
        const rows = sorted.filter((person) => person.role === role);
        return (
          rows.length > 0 && (
            <Box key={role} sx={{ mb: 2.5 }}>
              <Box component="h3" sx={{ m: 0, mb: 0.5, fontSize: 14, fontWeight: 650, color: 'text.secondary' }}>
                {title} · {rows.length}
              </Box>
              <Box component="ul" aria-label={title} sx={{ m: 0, p: 0, listStyle: 'none' }}>
                {rows.map((person) => (
                  <Row key={person.id} course={id} person={person} you={person.id === you} decides={decides} />
                ))}
              </Box>
            </Box>
          )
        );
      })}
    </Box>
  );
}

/** One person; who takes somebody out, or lays down their own part, is asked first. */
function Row({
  course,
  person,
  you,
  decides,
}: {
  course: string;
  person: CoursePerson;
  you: boolean;
  decides: boolean;
}) {
  const live = useLive();
  const [asked, setAsked] = useState<Role | 'out' | null>(null);
  const give = (role: Role) => live.do('people.give_role', peopleStream(course), { person: person.id, role });
  const choose = (role: Role | 'out') => (you || role === 'out' ? setAsked(role) : void give(role));
  const confirm = async () => {
    if (asked === 'out') await live.do('people.take_out', peopleStream(course), { person: person.id });
    else await give(asked!);
    setAsked(null);
  };
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        alignItems: 'center',
        flexWrap: 'wrap',
        gap: 1.25,
        py: 0.75,
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      <Box sx={{ flex: 1, minWidth: 140, overflowWrap: 'anywhere' }}>
        {person.name}
        {you && ' (you)'}
      </Box>
      {decides && asked === null && (
        <TextField
          select
          size="small"
          value={person.role}
          onChange={({ target }) => choose(target.value as Role | 'out')}
          slotProps={{ htmlInput: { 'aria-label': `Part of ${person.name}` } }}
          sx={{ width: 148 }}
        >
          <MenuItem value="instructor">Instructor</MenuItem>
          <MenuItem value="assistant">Assistant</MenuItem>
          <MenuItem value="student">Student</MenuItem>
          <MenuItem value="out" sx={{ borderTop: 1, borderColor: 'divider' }}>
            Take out of the course
          </MenuItem>
        </TextField>
      )}
      {asked !== null && (
        <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1 }}>
          <span role="alert">{question(asked, you)}</span>
          <Button variant="contained" color={asked === 'out' ? 'error' : 'primary'} onClick={() => void confirm()}>
            {asked === 'out' ? 'Take out' : `Become ${asked}`}
          </Button>
          <Button onClick={() => setAsked(null)}>Leave it</Button>
        </Box>
      )}
    </Box>
  );
}

const question = (asked: Role | 'out', you: boolean) => {
  if (asked === 'out')
    return you ? 'You would not get in any more.' : 'They would not get in any more. What they did stays.';
  return asked === 'instructor' ? 'You would decide for this course.' : 'You could not take this back yourself.';
};
