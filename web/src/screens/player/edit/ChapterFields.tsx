import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Chapter, RecordingFacts } from '../../../api/shapes';
import { duration } from '../../../parts/words/times';
import type { Recorder } from '../Recorder';
import type { Edit } from './useEdits';

interface Props {
  facts: RecordingFacts;
  recorder: Recorder;
  busy: boolean;
  edit: (edit: Edit) => void;
}

/** Chapters, to be named anew, begun elsewhere, or taken away. */
export function ChapterFields({ facts, recorder, busy, edit }: Props) {
  return (
    <Box component="section" aria-label="Chapters">
      <h3>Chapters</h3>
      {facts.chapters.map((chapter) => (
        <ChapterField key={`${chapter.at} ${chapter.title}`} {...{ chapter, busy, edit }} />
      ))}
      <Button
        size="small"
        disabled={busy}
        onClick={() => edit(['chapter', { at: Math.round(recorder.wall), title: 'New chapter' }])}
      >
        A chapter from here
      </Button>
    </Box>
  );
}

function ChapterField({
  chapter: { at, title, from },
  busy,
  edit,
}: Pick<Props, 'busy' | 'edit'> & { chapter: Chapter }) {
  const [now, setNow] = useState(title);
  const keep = () => {
    if (now.trim() && now !== title) edit(['chapter', { at, title: now }]);
  };
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 0.5 }}>
      <Box sx={{ width: 48, fontVariantNumeric: 'tabular-nums', color: 'text.secondary' }}>{duration(from)}</Box>
      <TextField
        size="small"
        value={now}
        disabled={busy}
        onChange={(event) => setNow(event.target.value)}
        onBlur={keep}
        onKeyDown={(event) => event.key === 'Enter' && keep()}
        slotProps={{ htmlInput: { 'aria-label': `Title of the chapter at ${duration(from)}`, maxLength: 120 } }}
        sx={{ flex: 1 }}
      />
      <Button
        size="small"
        disabled={busy}
        aria-label={`Remove the chapter “${title}”`}
        onClick={() => edit(['chapter', { at, title: null }])}
      >
        Remove
      </Button>
    </Box>
  );
}
