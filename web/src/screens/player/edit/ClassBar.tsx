import Box from '@mui/material/Box';
import type { RecordingEdits } from '../../../api/shapes';
import { clockTime } from '../../../parts/words/times';
import type { Recorder } from '../Recorder';
import { useTold } from '../usePlayback';

interface Props {
  edits: RecordingEdits;
  recorder: Recorder;
}

/** The whole class as a line: what was recorded of it, what is cut, what is hidden, and where one is. */
export function ClassBar({ edits: { from, to, recorded, parts }, recorder }: Props) {
  const wall = useTold(recorder, (at) => Math.floor(at.wall / 1_000) * 1_000);
  const share = (at: number) => `${(Math.min(Math.max((at - from) / (to - from), 0), 1) * 100).toFixed(2)}%`;
  const width = (begin: number, end: number) => `${(((end - begin) / (to - from)) * 100).toFixed(2)}%`;
  const piece = (begin: number, end: number, looks: object, key: string) => (
    <Box key={key} sx={{ position: 'absolute', left: share(begin), width: width(begin, end), ...looks }} />
  );
  const hatched = 'repeating-linear-gradient(135deg, transparent 0 4px, currentColor 4px 5px)';
  const looks = {
    stretch: { top: 0, bottom: 0, bgcolor: 'veranda.wash' },
    cut: { top: 0, bottom: 0, bgcolor: 'background.default', backgroundImage: hatched, color: 'text.secondary' },
    blank: { height: 6, bottom: 0, bgcolor: 'text.secondary' },
  };
  return (
    <Box aria-hidden sx={{ mb: 1 }}>
      <Box
        sx={{
          ...{ position: 'relative', height: 26, border: 1, borderColor: 'divider', borderRadius: 1 },
          ...{ overflow: 'hidden', bgcolor: 'background.default' },
        }}
      >
        {recorded.map(([begin, end]) => piece(begin, end, looks.stretch, `recorded-${begin}`))}
        {(['stretch', 'cut', 'blank'] as const).flatMap((kind) =>
          parts.filter((part) => part.kind === kind).map((part) => piece(part.from, part.to, looks[kind], part.id)),
        )}
        {piece(wall, wall, { top: 0, bottom: 0, borderLeft: 2, borderColor: 'error.main' }, 'now')}
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', color: 'text.secondary', fontSize: 12 }}>
        <span>{clockTime(from)}</span>
        <span>hatched: cut</span>
        <span>{clockTime(to)}</span>
      </Box>
    </Box>
  );
}
