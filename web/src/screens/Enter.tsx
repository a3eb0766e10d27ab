import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import { useNavigate, useParams } from 'react-router';
import { NAME_LIMIT } from '../api/contracts';
import type { LookedAt } from '../api/shapes';
import { post, Refused } from '../api/http';
import { Brand } from '../parts/frame/Brand';
import { Waiting } from '../parts/frame/Waiting';
import { clockTime, day } from '../parts/words/times';

/** Where a link leads: straight in when it says who one is, else to the question what one is called. */
export default function Enter() {
  const { token } = useParams();
  const go = useNavigate();
  const queries = useQueryClient();
  const [refusal, setRefusal] = useState<string | null>(null);
  const entered = useRef(false);
  const look = useQuery({
    queryKey: ['link', token],
    queryFn: () => post<LookedAt>('/api/links/look', { token }),
    retry: false,
    staleTime: Infinity,
  });

  const enter = async (facts: { name?: string; password?: string } = {}) => {
    try {
      const { to } = await post<{ to: string }>('/api/links/enter', { token, ...facts });
      await queries.invalidateQueries({ queryKey: ['session'] });
      go(to, { replace: true });
    } catch (error) {
      setRefusal((error as Refused).message);
    }
  };

  const straight = look.data && !look.data.password && (look.data.kind !== 'class' || look.data.lesson?.known);
  useEffect(() => {
    if (!straight || entered.current) return;
    entered.current = true;
    void enter();
  });

  if (look.isPending || (straight && !refusal)) return <Waiting says="Opening the link" />;
  const says = refusal ?? look.error?.message ?? null;
  return (
    <Box
      component="main"
      sx={{ height: '100%', display: 'grid', placeItems: 'center', gridTemplateColumns: 'minmax(0, 1fr)' }}
    >
      <Box
        sx={{
          width: 440,
          maxWidth: '100%',
          p: 4,
          bgcolor: 'background.paper',
          border: 1,
          borderColor: 'divider',
          borderRadius: 1.5,
          display: 'flex',
          flexDirection: 'column',
          gap: 2,
        }}
      >
        <Brand size={36} />
        {look.data?.lesson ? (
          <AskName lesson={look.data.lesson} says={says} onEnter={(name) => void enter({ name })} />
        ) : look.data?.password ? (
          <AskPassword says={says} onEnter={(password) => void enter({ password })} />
        ) : (
          <Box role="alert">{says}</Box>
        )}
      </Box>
    </Box>
  );
}

interface AskProps {
  lesson: NonNullable<LookedAt['lesson']>;
  says: string | null;
  onEnter: (name: string) => void;
}

function AskName({ lesson, says, onEnter }: AskProps) {
  const [name, setName] = useState('');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onEnter(name);
  };
  return (
    <Box component="form" onSubmit={submit} sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
      <Box>
        <Box component="h1" sx={{ m: 0, typography: 'h1' }}>
          {lesson.title}
        </Box>
        <Box sx={{ color: 'text.secondary', mt: 0.5 }}>
          {lesson.course} · {day(lesson.starts_at)}, {clockTime(lesson.starts_at)} · with {lesson.host}
        </Box>
      </Box>
      <TextField
        label="Your name"
        autoFocus
        value={name}
        onChange={(event) => setName(event.target.value)}
        error={says !== null}
        helperText={says ?? 'Everyone in the class sees it.'}
        slotProps={{ htmlInput: { maxLength: NAME_LIMIT * 4, autoComplete: 'name' } }}
      />
      <Button type="submit" variant="contained" color="primary">
        Go to the class
      </Button>
    </Box>
  );
}

interface PasswordProps {
  says: string | null;
  onEnter: (password: string) => void;
}

function AskPassword({ says, onEnter }: PasswordProps) {
  const [password, setPassword] = useState('');
  return (
    <Box
      component="form"
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        onEnter(password);
      }}
      sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}
    >
      <Box component="h1" sx={{ m: 0, typography: 'h1' }}>
        A recording
      </Box>
      <TextField
        label="Password"
        type="password"
        autoFocus
        value={password}
        onChange={(event) => setPassword(event.target.value)}
        error={says !== null}
        helperText={says ?? 'Whoever sent you the link knows it.'}
        slotProps={{ htmlInput: { maxLength: 200, autoComplete: 'off' } }}
      />
      <Button type="submit" variant="contained" color="primary" disabled={!password}>
        Watch
      </Button>
    </Box>
  );
}
