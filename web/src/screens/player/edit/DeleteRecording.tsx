import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { remove } from '../../../api/http';

/** Lets go of a recording for good, once one has said so twice. */
export function DeleteRecording({ recording }: { recording: string }) {
  const [sure, setSure] = useState(false);
  const go = useNavigate();
  const queries = useQueryClient();
  const gone = useMutation({
    mutationFn: () => remove(`/api/recordings/${recording}`),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['recordings'] });
      await go('/recordings');
    },
  });
  return (
    <Box component="section" aria-label="Delete the recording" sx={{ mt: 3 }}>
      {sure ? (
        <>
          <Box sx={{ mb: 1 }}>
            Sound, picture, films, zips, links, notes and who watched are gone for good. Boards and posts stay with the
            lesson.
          </Box>
          <Box sx={{ display: 'flex', gap: 1 }}>
            <Button variant="contained" color="error" disabled={gone.isPending} onClick={() => gone.mutate()}>
              Delete it for good
            </Button>
            <Button onClick={() => setSure(false)}>Keep it</Button>
          </Box>
        </>
      ) : (
        <Button color="error" onClick={() => setSure(true)}>
          Delete the recording
        </Button>
      )}
      {gone.error && <Box role="alert">{gone.error.message}</Box>}
    </Box>
  );
}
