import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { CourseState } from '../../live/course';
import { useLive } from '../../live/hooks';
import { courseStream } from '../../live/streams';
import { cityOf, ownZone } from '../../parts/words/zones';

const ZONES = ['Etc/UTC', ...Intl.supportedValuesOf('timeZone').filter((zone) => zone !== 'Etc/UTC' && zone !== 'UTC')];

/** By whose clocks the lessons of a course are planned; lessons that are planned stay when they are. */
export function Clocks({ id, course, decides }: { id: string; course: CourseState; decides: boolean }) {
  const live = useLive();
  const [says, setSays] = useState<string | null>(null);
  const set = async (zone: string) => {
    const answer = await live.do('course.set', courseStream(id), { zone });
    setSays(answer.ok ? null : answer.says);
  };
  return (
    <Box
      component="section"
      aria-labelledby="clocks"
      sx={{ mt: 4, display: 'flex', flexDirection: 'column', gap: 1.5 }}
    >
      <Box component="h2" id="clocks" sx={{ m: 0, typography: 'h2' }}>
        Clocks
      </Box>
      {decides ? (
        <Autocomplete
          size="small"
          options={ZONES.includes(course.zone) ? ZONES : [course.zone, ...ZONES]}
          value={course.zone}
          disableClearable
          groupBy={(zone) => zone.split('/')[0]!}
          onChange={(_, zone) => void set(zone)}
          renderInput={(params) => <TextField {...params} label="Lessons are planned by the clocks of" />}
        />
      ) : (
        <Box>Lessons are planned by the clocks of {cityOf(course.zone)}.</Box>
      )}
      <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
        Everyone sees times by their own clocks{ownZone() === course.zone ? '' : ` (yours: ${cityOf(ownZone())})`}.
        Lessons that are planned already stay when they are.
      </Box>
      {says && (
        <Box role="alert" sx={{ color: 'error.main' }}>
          {says}
        </Box>
      )}
    </Box>
  );
}
