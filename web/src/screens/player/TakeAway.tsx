import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import { useState } from 'react';
import type { RecordingFacts } from '../../api/shapes';
import { SaveAs } from '../../parts/files/SaveAs';
import { useSaving } from '../../parts/hooks/useSaving';
import { Films } from './Films';

interface Props {
  recording: RecordingFacts;
  /** Of captions. */
  languages: string[];
}

/** What is there at once: in words, and the formats in which it is saved. */
const AT_ONCE: [string, [string, string][]][] = [
  ['Boards', [['boards.pdf', 'PDF']]],
  [
    'What was said and written',
    [
      ['transcript.txt', 'Text'],
      ['transcript.csv', 'CSV'],
      ['transcript.vtt', 'WebVTT'],
    ],
  ],
  ['Posts', [['posts.csv', 'CSV']]],
  ['Polls, as they were shown', [['polls.csv', 'CSV']]],
];

/** What somebody takes away of a recording: what is there at once, and for staff films that are made. */
export function TakeAway({ recording, languages }: Props) {
  const [open, setOpen] = useState(false);
  const saving = useSaving();
  const path = `/api/recordings/${recording.id}`;
  const captions = languages.map((lang): [string, [string, string][]] => [
    `Captions, ${lang}`,
    [
      [`captions/${lang}.vtt`, 'WebVTT'],
      [`captions/${lang}.srt`, 'SRT'],
    ],
  ]);
  return (
    <>
      <Button onClick={() => setOpen(true)}>Take away</Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-label="Take away">
        <DialogContent sx={{ width: 540, maxWidth: 1 }}>
          <Box component="h2" sx={{ m: 0, fontSize: 16 }}>
            There at once
          </Box>
          {[...AT_ONCE, ...captions].map(([what, files]) => (
            <SaveAs key={what} what={what} formats={files} onSave={(name) => saving.save(`${path}/${name}`)} />
          ))}
          {saving.says && (
            <Box role="status" sx={{ mt: 1, fontSize: 14 }}>
              {saving.says}
            </Box>
          )}
          {recording.staff && <Films {...{ recording, languages }} />}
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>Close</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
