import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { post, Refused } from '../api/http';
import { Brand } from '../parts/frame/Brand';

/** Signing in with an account. Students with a link never need this page. */
export default function SignIn() {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [error, setError] = useState<string | null>(null);
  const queries = useQueryClient();
  const go = useNavigate();
  const { pathname } = useLocation();

  const signIn = async (event: FormEvent) => {
    event.preventDefault();
    try {
      await post('/auth/login', { email, password });
      await queries.invalidateQueries({ queryKey: ['session'] });
      if (pathname === '/sign-in') go('/');
    } catch (failure) {
      const refused = failure as Refused;
      setError(refused.status === 401 ? 'There is no account with this address and password.' : refused.message);
    }
  };

  return (
    <Box
      component="main"
      sx={{ height: '100%', display: 'grid', placeItems: 'center', gridTemplateColumns: 'minmax(0, 1fr)' }}
    >
      <Box
        component="form"
        onSubmit={(event) => void signIn(event)}
        sx={{
          width: 380,
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
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
          <Brand size={36} />
          <Box component="h1" sx={{ m: 0, typography: 'h1' }}>
            Veranda
          </Box>
        </Box>
        <TextField
          label="Address"
          type="email"
          autoComplete="username"
          required
          value={email}
          onChange={(event) => setEmail(event.target.value)}
        />
        <TextField
          label="Password"
          type="password"
          autoComplete="current-password"
          required
          value={password}
          onChange={(event) => setPassword(event.target.value)}
          error={error !== null}
          helperText={error}
        />
        <Button type="submit" variant="contained" color="primary">
          Sign in
        </Button>
        <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
          Students come in by the link from their instructor and need no account.
        </Box>
      </Box>
    </Box>
  );
}
