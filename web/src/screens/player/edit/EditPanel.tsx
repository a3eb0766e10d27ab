import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { get } from '../../../api/http';
import type { RecordingFacts, RecordingLevels } from '../../../api/shapes';
import { Waiting } from '../../../parts/frame/Waiting';
import { clockTime } from '../../../parts/words/times';
import type { Recorder } from '../Recorder';
import { ChapterFields } from './ChapterFields';
import { ClassBar } from './ClassBar';
import { DeleteRecording } from './DeleteRecording';
import { Named } from './Named';
import { Parts } from './Parts';
import { Stretch, type Times } from './Stretch';
import { useEdits } from './useEdits';

interface Props {
  recorder: Recorder;
  facts: RecordingFacts;
  onDone: () => void;
}

/** Editing a recording while one watches it: what is left out, what is hidden, and its chapters. Nothing is lost by it. */
export function EditPanel({ recorder, facts, onDone }: Props) {
  const { edits, edit, busy, says } = useEdits(facts.id, (left) => recorder.renew(left));
  const levels = useQuery({
    queryKey: ['recording-levels', facts.id],
    queryFn: () => get<RecordingLevels>(`/api/recordings/${facts.id}/levels`),
  }).data;
  const [times, setTimes] = useState<Times | null>(null);
  const points = [...facts.chapters.map(({ at }) => at), ...(levels?.silences.flat() ?? [])];
  const chosen = times ?? { from: edits ? clockTime(edits.from, true) : '', to: '' };
  return (
    <Box
      component="aside"
      aria-label="Edit the recording"
      sx={{
        ...{ gridArea: 'words', minHeight: 0, overflowY: 'auto', bgcolor: 'background.paper', p: 1.75, fontSize: 14 },
        ...{ borderStyle: 'solid', borderColor: 'divider', borderWidth: { xs: '1px 0 0', md: '0 0 0 1px' } },
        '& h3': { fontSize: 14, m: 0, mt: 2, mb: 0.75 },
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Box component="h2" sx={{ flex: 1, m: 0, fontSize: 17 }}>
          Edit
        </Box>
        <Button size="small" onClick={onDone}>
          Done
        </Button>
      </Box>
      <Box sx={{ color: 'text.secondary', mb: 1 }}>
        Everyone who may watch sees what you change, at once. Each change can be taken back.
      </Box>
      {says && (
        <Box role="alert" sx={{ color: 'error.main', mb: 1 }}>
          {says}
        </Box>
      )}
      {edits ? (
        <>
          <ClassBar
            {...{ edits, recorder, levels, points, chosen }}
            onChoose={(from, to) => setTimes({ from: clockTime(from, true), to: clockTime(to, true) })}
          />
          <Stretch {...{ edits, recorder, busy, edit, points }} times={chosen} onTimes={setTimes} />
          <Parts {...{ edits, busy, edit }} />
          <ChapterFields {...{ facts, recorder, busy, edit }} />
          <Named {...{ edits, busy, edit }} />
          <DeleteRecording recording={facts.id} />
        </>
      ) : (
        <Waiting says="Looking at what was edited" />
      )}
    </Box>
  );
}
