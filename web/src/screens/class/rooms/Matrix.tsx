import Box from '@mui/material/Box';
import visuallyHidden from '@mui/utils/visuallyHidden';
import type { Room } from '../../../api/shapes';
import { initials } from '../../../parts/words/people';
import { pairOf, type Met } from './rooms';

interface Props {
  rooms: Room[];
  met: Met;
  names: Map<string, string>;
}

/** Above so many people it can no longer be read. */
const MOST = 32;

/** Who sits with whom now, who has done so before, and who does both; people stand in the order of their rooms. */
export function Matrix({ rooms, met, names }: Props) {
  const people = rooms.flatMap(({ id, people }) => people.map((person) => ({ person, room: id })));
  if (met.size === 0 || people.length < 3 || people.length > MOST) return null;
  const cell = Math.max(14, Math.min(26, Math.floor(560 / people.length)));
  return (
    <Box
      component="section"
      aria-label="Who has sat with whom"
      sx={{ mt: 2, px: 0.5, display: { xs: 'none', md: 'block' } }}
    >
      <Box component="h3" sx={{ m: 0, mb: 0.5, fontSize: 16 }}>
        Who has sat with whom
      </Box>
      <Box sx={{ display: 'flex', gap: 2, mb: 1, fontSize: 13, color: 'text.secondary' }}>
        <Key colour="primary.main">together now</Key>
        <Key colour="veranda.lakeWash">before</Key>
        <Key colour="error.main">now and before</Key>
      </Box>
      <Box component="table" sx={{ borderCollapse: 'separate', borderSpacing: '2px', fontSize: 11 }}>
        <Box component="caption" sx={visuallyHidden}>
          How often each has sat with each before, and who sits together now
        </Box>
        <thead>
          <tr>
            <td />
            {people.map(({ person }) => (
              <Box
                component="th"
                scope="col"
                key={person}
                title={names.get(person)}
                sx={{ fontWeight: 500, width: cell }}
              >
                {initials(names.get(person) ?? '?')}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {people.map((one) => (
            <tr key={one.person}>
              <Box
                component="th"
                scope="row"
                sx={{ fontWeight: 500, textAlign: 'right', pr: 0.5 }}
                title={names.get(one.person)}
              >
                {initials(names.get(one.person) ?? '?')}
              </Box>
              {people.map((other) => {
                const times = met.get(pairOf(one.person, other.person)) ?? 0;
                const now = one.room === other.room && one.person !== other.person;
                return (
                  <Box
                    component="td"
                    key={other.person}
                    sx={{
                      width: cell,
                      height: Math.round(cell * 0.7),
                      borderRadius: '3px',
                      bgcolor: colourOf(now, times),
                    }}
                  >
                    <Box component="span" sx={visuallyHidden}>
                      {wordsOf(now, times)}
                    </Box>
                  </Box>
                );
              })}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

function colourOf(now: boolean, times: number): string {
  if (now) return times > 0 ? 'error.main' : 'primary.main';
  return times > 0 ? 'veranda.lakeWash' : 'action.hover';
}

const wordsOf = (now: boolean, times: number): string =>
  [now && 'now', times > 0 && `${times} before`].filter(Boolean).join(', ');

const Key = ({ colour, children }: { colour: string; children: string }) => (
  <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
    <Box sx={{ width: 14, height: 10, borderRadius: '3px', bgcolor: colour }} />
    {children}
  </Box>
);
