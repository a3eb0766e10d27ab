import Box from '@mui/material/Box';
import { useMutation } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { post } from '../api/http';
import { Waiting } from '../parts/frame/Waiting';

/** Finds the class of a lesson, or has it made ready, and goes there. */
export default function ClassOfLesson() {
  const { id } = useParams();
  const [query] = useSearchParams();
  const go = useNavigate();
  const ready = useMutation({
    mutationFn: () => post<{ sitting: string }>(`/api/lessons/${id}/class`, { again: query.has('again') }),
  });
  const { mutate, data, error } = ready;

  useEffect(() => mutate(), [mutate]);
  useEffect(() => {
    if (data) go(`/classes/${data.sitting}${query.has('unseen') ? '?unseen' : ''}`, { replace: true });
  }, [data, go, query]);

  if (!error) return <Waiting says="Going to the class" />;
  return (
    <Box component="main" sx={{ p: 4 }}>
      <Box role="alert" sx={{ mb: 2 }}>
        {error.message}
      </Box>
      <Link to="/">Go to the desk</Link>
    </Box>
  );
}
