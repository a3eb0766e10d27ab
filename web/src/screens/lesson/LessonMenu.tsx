import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { Link } from 'react-router';
import type { LessonFacts } from '../../api/shapes';
import { MenuWord } from '../../parts/fields/MenuWord';
import { useSaving } from '../../parts/hooks/useSaving';
import { CopyLesson } from './CopyLesson';

/** What can be done with a lesson as a whole. */
export function LessonMenu({ lesson }: { lesson: LessonFacts }) {
  const [copying, setCopying] = useState(false);
  const { says, save } = useSaving();
  return (
    <>
      {says && (
        <Box role="status" sx={{ fontSize: 14 }}>
          {says}
        </Box>
      )}
      <MenuWord label="Reuse" hint="Copy or save this lesson">
        {(close) => [
          <MenuItem key="copy" onClick={() => close(() => setCopying(true))}>
            Copy to another date or course
          </MenuItem>,
          <MenuItem
            key="pdf"
            disabled={lesson.boards.length === 0}
            onClick={() => close(() => save(`/api/lessons/${lesson.id}.pdf`))}
          >
            Save all boards as one PDF
          </MenuItem>,
          <MenuItem key="unseen" component={Link} to={`/lessons/${lesson.id}/class?unseen`}>
            Look into the class unseen
          </MenuItem>,
          <MenuItem key="agenda" onClick={() => close(() => save(`/api/lessons/${lesson.id}/agenda.ics`))}>
            Save its day for another calendar
          </MenuItem>,
          <MenuItem key="zip" onClick={() => close(() => save(`/api/lessons/${lesson.id}.zip`))}>
            Save the lesson as a zip
          </MenuItem>,
        ]}
      </MenuWord>
      {copying && <CopyLesson lesson={lesson} onClose={() => setCopying(false)} />}
    </>
  );
}
