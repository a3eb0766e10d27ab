import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import { Link } from 'react-router';
import type { RecordingRow } from '../../api/shapes';
import { sizeOf } from '../../parts/words/sizes';
import { clockTime, day, duration } from '../../parts/words/times';
import { Places } from './Places';

/** How it stands with sound and picture, where that is worth a word. */
const SOUND = { waiting: 'sound is being made ready', partly: 'some sound is missing', ready: 'with sound' } as const;

interface Props {
  row: RecordingRow;
  sought: string;
  /** Whether something is to be done with it and others. */
  chosen: boolean;
  onChoose: (on: boolean) => void;
}

/** A recording: what it was, how long it is, and where in it one found what one looked for. */
export function RecordingCard({ row, sought, chosen, onChoose }: Props) {
  const facts = [
    row.staff && (row.shared ? 'shared with the course' : 'not shared'),
    row.sound && SOUND[row.sound],
    row.size > 0 && sizeOf(row.size),
  ];
  return (
    <Box
      component="article"
      sx={{ p: 2, bgcolor: 'background.paper', border: 1, borderColor: 'divider', borderRadius: 1.25 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap' }}>
        {row.staff && (
          <Checkbox
            checked={chosen}
            onChange={(_, on) => onChoose(on)}
            slotProps={{ input: { 'aria-label': `Choose ${row.title}, ${day(row.at, 'short')}` } }}
            sx={{ ml: -1, mr: -1 }}
          />
        )}
        <Box sx={{ flex: '1 1 260px', minWidth: 0 }}>
          <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
            {day(row.at, 'short')}, {clockTime(row.at)} · {row.course}, evening {row.number}
            {row.taught.length > 0 && ` · ${row.taught.join(', ')}`}
          </Box>
          <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
            {row.title}
          </Box>
          <Box sx={{ fontSize: 14, color: 'text.secondary' }}>{row.chapters.join(' · ')}</Box>
        </Box>
        <Box sx={{ textAlign: { md: 'right' }, fontSize: 14, flex: { xs: 1, md: 'none' } }}>
          <strong>{duration(row.length)}</strong>
          {facts.filter(Boolean).map((fact) => (
            <Box key={String(fact)} sx={{ color: 'text.secondary' }}>
              {fact}
            </Box>
          ))}
        </Box>
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button component={Link} to={`/classes/${row.id}/after`}>
            The class
          </Button>
          <Button component={Link} to={`/recordings/${row.id}`}>
            Watch
          </Button>
        </Box>
      </Box>
      {row.places && <Places recording={row.id} places={row.places} sought={sought} />}
    </Box>
  );
}
