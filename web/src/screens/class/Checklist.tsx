import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { get } from '../../api/http';
import type { Author, LessonFacts } from '../../api/shapes';
import type { SittingState } from '../../live/sitting';
import type { StaffState } from '../../live/staff';
import { firstName } from '../../parts/words/people';
import { inWords } from '../../parts/exchange/audience';
import { CheckDevices } from '../../stage/CheckDevices';
import { Connection } from './Connection';

interface Props {
  sitting: SittingState;
  staff: StaffState;
  /** Id of the lesson. */
  lesson: string;
  /** Whether there will be sound and picture. */
  stage: boolean;
}

/** So many of those who are not here yet are called by name. */
const NAMED = 8;

/** Before the doors open: what is to mend, what to begin with, whether it is recorded, who is missing, how the connection is. */
export function Checklist({ sitting, staff, lesson, stage }: Props) {
  const facts = useQuery({ queryKey: ['lesson', lesson], queryFn: () => get<LessonFacts>(`/api/lessons/${lesson}`) });
  const expected = useQuery({
    queryKey: ['expected', lesson],
    queryFn: () => get<{ people: Author[] }>(`/api/lessons/${lesson}/expected`),
  });
  const first = staff.steps[0];
  const records = staff.steps.find(({ id }) => id === staff.record_from);
  const here = new Set([...staff.waiting, ...sitting.seats].map(({ id }) => id));
  const missing = expected.data?.people.filter(({ id }) => !here.has(id));
  const to_mend = facts.data?.to_mend;
  return (
    <Box component="section" aria-label="Before you open">
      <Box component="h2" sx={{ typography: 'h2', mt: 3, mb: 1 }}>
        Before you open
      </Box>
      <Box
        component="ul"
        sx={{ m: 0, p: 0, listStyle: 'none', '& > li': { py: 0.75, borderTop: 1, borderColor: 'divider' } }}
      >
        <li>
          {!to_mend ? (
            'Readiness: …'
          ) : to_mend.length === 0 ? (
            'The lesson is ready.'
          ) : (
            <>
              To mend in <Link to={`/lessons/${lesson}`}>the lesson</Link>: {to_mend.map(({ says }) => says).join(' ')}
            </>
          )}
        </li>
        {first && (
          <li>
            Begins with <strong>{first.title}</strong>
            {first.notes ? (
              <Box sx={{ mt: 0.5, p: 1, borderRadius: 1, bgcolor: 'veranda.ochreWash', whiteSpace: 'pre-wrap' }}>
                {first.notes}
              </Box>
            ) : (
              '.'
            )}
          </li>
        )}
        <li>
          {records
            ? records === first
              ? 'Recording starts with the first step.'
              : `Recording starts with ${records.title}.`
            : 'Recording is started by hand, or not at all.'}
        </li>
        <li>{missing === undefined ? 'Expected: …' : missingWords(missing)}</li>
        <li>
          <Connection />
        </li>
        <li>
          {stage ? <CheckDevices>Check microphone and camera</CheckDevices> : 'This server has no sound and picture.'}
        </li>
      </Box>
    </Box>
  );
}

/** @returns who of those expected is not here yet, in words */
export function missingWords(missing: Author[]): string {
  if (missing.length === 0) return 'Everyone who is expected is here.';
  const names = missing.slice(0, NAMED).map(({ name }) => firstName(name));
  const more = missing.length - names.length;
  return `Not here yet: ${inWords(more > 0 ? [...names, `${more} more`] : names)}.`;
}
