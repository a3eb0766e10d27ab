import Box from '@mui/material/Box';
import { useRef, type PointerEvent } from 'react';
import type { RecordingEdits, RecordingLevels } from '../../../api/shapes';
import { clockTime } from '../../../parts/words/times';
import type { Recorder } from '../Recorder';
import { useTold } from '../usePlayback';
import { onTheDay } from './onTheDay';
import { snapped } from './snapped';
import type { Times } from './Stretch';

/** px from which the hand goes to where something begins or is quiet. */
const NEAR = 8;

const CHOSEN = { top: 0, bottom: 0, border: 2, borderColor: 'primary.main' };

/** How loud it was, as a line of bars. */
function Loudness({ parts }: RecordingLevels) {
  return (
    <Box
      component="svg"
      viewBox={`0 0 ${Math.max(parts.length, 1)} 100`}
      preserveAspectRatio="none"
      sx={{ position: 'absolute', inset: 0, width: 1, height: 1, color: 'primary.main', opacity: 0.4 }}
    >
      {parts.map(
        (level, i) => level > 0 && <rect key={i} x={i} y={100 - level} width={1} height={level} fill="currentColor" />,
      )}
    </Box>
  );
}

interface Props {
  edits: RecordingEdits;
  recorder: Recorder;
  /** How loud it was, once that is known. */
  levels?: RecordingLevels;
  /** Where the hand is held. */
  points: number[];
  /** The stretch as it stands in the fields. */
  chosen: Times;
  onChoose: (from: number, to: number) => void;
}

/** The whole class as a line: what was recorded of it, what is cut, what is hidden, and where one is. */
export function ClassBar({ edits, recorder, levels, points, chosen, onChoose }: Props) {
  const { from, to, recorded, parts } = edits;
  const began = useRef(0);
  const under = (event: PointerEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const at = from + Math.min(Math.max((event.clientX - box.left) / box.width, 0), 1) * (to - from);
    return snapped(at, points, ((to - from) / box.width) * NEAR);
  };
  const [begin, end] = [onTheDay(chosen.from, edits), onTheDay(chosen.to, edits)];
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
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          began.current = under(event);
        }}
        onPointerMove={(event) => {
          const now = event.buttons === 1 ? under(event) : began.current;
          if (now !== began.current) onChoose(Math.min(began.current, now), Math.max(began.current, now));
        }}
        onPointerUp={(event) => {
          // A tap goes there.
          if (under(event) === began.current) recorder.seek(recorder.timeOf(began.current));
        }}
        sx={{
          ...{
            position: 'relative',
            height: 44,
            touchAction: 'none',
            cursor: 'crosshair',
            border: 1,
            borderColor: 'divider',
            borderRadius: 1,
          },
          ...{ overflow: 'hidden', bgcolor: 'background.default' },
        }}
      >
        {recorded.map(([begin, end]) => piece(begin, end, looks.stretch, `recorded-${begin}`))}
        {(['stretch', 'cut', 'blank'] as const).flatMap((kind) =>
          parts.filter((part) => part.kind === kind).map((part) => piece(part.from, part.to, looks[kind], part.id)),
        )}
        {levels && <Loudness {...levels} />}
        {begin !== null && end !== null && end > begin && piece(begin, end, CHOSEN, 'chosen')}
        {piece(wall, wall, { top: 0, bottom: 0, borderLeft: 2, borderColor: 'error.main' }, 'now')}
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', color: 'text.secondary', fontSize: 12 }}>
        <span>{clockTime(from)}</span>
        <span>hatched: cut · draw over it to choose</span>
        <span>{clockTime(to)}</span>
      </Box>
    </Box>
  );
}
