import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { patch } from '../../api/http';
import type { ClassFacts, You } from '../../api/shapes';
import { useSaving } from '../../parts/hooks/useSaving';

const FORMATS = [
  ['txt', 'Text'],
  ['csv', 'CSV'],
  ['vtt', 'WebVTT'],
] as const;

/** For staff: saves what was written in a class, and decides for the course whether what was private to staff is part of it. */
export function Transcript({ facts, you }: { facts: ClassFacts; you: You }) {
  const saving = useSaving();
  const [whole, setWhole] = useState(facts.private_in_transcripts);
  const decide = useMutation({
    mutationFn: (private_in_transcripts: boolean) => patch(`/api/courses/${facts.course}`, { private_in_transcripts }),
    onSuccess: (_, to) => setWhole(to),
  });
  return (
    <Box component="section" aria-label="What was written" sx={{ mt: 3 }}>
      <Box>Save what was written as</Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 0.5 }}>
        {FORMATS.map(([format, name]) => (
          <Button key={format} onClick={() => saving.save(`/api/classes/${facts.id}/transcript.${format}`)}>
            {name}
          </Button>
        ))}
      </Box>
      <FormControlLabel
        disabled={you.role !== 'instructor' || decide.isPending}
        control={<Checkbox size="small" checked={whole} onChange={(_, on) => decide.mutate(on)} />}
        label="In this course, with what was written to staff alone"
      />
      {(saving.says ?? decide.error?.message) && <Box role="status">{saving.says ?? decide.error?.message}</Box>}
    </Box>
  );
}
