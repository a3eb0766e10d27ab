import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import type { CoursePolicy } from '../../api/shapes';

/** Days for which recordings are kept. */
const DAYS = [30, 90, 180, 365, 730];

/** Languages whose stems the search knows. */
const LANGUAGES = 'en da de el es fi fr hu id it lt nl no pt ro ru sv tr'.split(' ');

interface Props {
  policy: CoursePolicy;
  /** Whether one may decide it. */
  decides?: boolean;
  onChange: (some: Partial<CoursePolicy>) => void;
}

/** For how long a course keeps its recordings, by whose grammar they are searched, and whether what was not recorded may be added. */
export function WhatIsKept({ policy, decides = true, onChange }: Props) {
  const days = policy.keep_recordings;
  return (
    <>
      <TextField
        select
        size="small"
        label="Recordings are kept"
        disabled={!decides}
        value={days ?? 0}
        onChange={({ target }) => onChange({ keep_recordings: Number(target.value) || null })}
      >
        <MenuItem value={0}>until somebody deletes them</MenuItem>
        {[...new Set([...DAYS, ...(days ? [days] : [])])].map((each) => (
          <MenuItem key={each} value={each}>
            {each} days after the class
          </MenuItem>
        ))}
      </TextField>
      <Box sx={{ fontSize: 14, color: 'text.secondary', mb: 0.75 }}>
        Then sound, picture, films, zips, links, notes and who watched are gone for good. Boards and posts stay with the
        lesson.
      </Box>
      <TextField
        select
        size="small"
        label="Words are found as in"
        disabled={!decides}
        value={policy.language}
        onChange={({ target }) => onChange({ language: target.value })}
      >
        {[...new Set([...LANGUAGES, policy.language])].map((code) => (
          <MenuItem key={code} value={code}>
            {new Intl.DisplayNames('en', { type: 'language' }).of(code)}
          </MenuItem>
        ))}
      </TextField>
      <FormControlLabel
        control={
          <Switch
            checked={policy.add_missed}
            disabled={!decides}
            onChange={(_, add_missed) => onChange({ add_missed })}
            slotProps={{ input: { 'aria-label': 'What was not recorded may be added afterwards' } }}
          />
        }
        label="What was not recorded may be added afterwards, with its boards and posts"
      />
    </>
  );
}
