import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { putFile } from '../../../api/http';
import type { RecordingFacts } from '../../../api/shapes';

interface Props {
  facts: RecordingFacts;
  lang?: string;
  onTaken: () => void;
}

/** Captions as files: to take away, and for staff to take in. */
export function CaptionFiles({ facts: { id, staff }, lang, onTaken }: Props) {
  const [language, setLanguage] = useState(lang ?? 'en');
  const path = `/api/recordings/${id}/captions`;
  const take = useMutation({
    mutationFn: (file: File) =>
      putFile<{ problems: { line: number; says: string }[] }>(`${path}/${encodeURIComponent(language)}`, file),
    onSuccess: onTaken,
  });
  const problems = take.data?.problems ?? [];
  return (
    <Box sx={{ mt: 2, pt: 1, borderTop: 1, borderColor: 'divider', fontSize: 14 }}>
      {lang && (
        <Box sx={{ display: 'flex', gap: 1, mb: 1 }}>
          <Button size="small" component="a" href={`${path}/${lang}.vtt`} download>
            Save as WebVTT
          </Button>
          <Button size="small" component="a" href={`${path}/${lang}.srt`} download>
            Save as SRT
          </Button>
        </Box>
      )}
      {staff && (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
          <TextField
            size="small"
            label="Language"
            value={language}
            onChange={(event) => setLanguage(event.target.value.trim())}
            sx={{ width: 96 }}
            slotProps={{ htmlInput: { maxLength: 12 } }}
          />
          <Button size="small" component="label" disabled={take.isPending}>
            Take in a file
            <input
              type="file"
              hidden
              accept=".vtt,.srt,text/vtt"
              aria-label="Take in a file of captions"
              onChange={({ target }) => {
                if (target.files?.[0]) take.mutate(target.files[0]);
                target.value = '';
              }}
            />
          </Button>
        </Box>
      )}
      {take.error && <Box role="alert">{take.error.message}</Box>}
      {problems.length > 0 && (
        <Box role="status" sx={{ mt: 1 }}>
          Taken in, but for these:
          <ul>
            {problems.map(({ line, says }) => (
              <li key={`${line} ${says}`}>
                {line > 0 && `Line ${line}: `}
                {says}
              </li>
            ))}
          </ul>
        </Box>
      )}
    </Box>
  );
}
