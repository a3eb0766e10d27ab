import Box from '@mui/material/Box';
import type { KeyboardEvent, PointerEvent } from 'react';
import type { Chapter, RecordingHappened } from '../../api/shapes';
import { duration } from '../../parts/words/times';
import { Happenings } from './Happenings';

interface Props {
  length: number;
  chapters: Chapter[];
  time: number;
  /** How much happened when, once that is known. */
  happened?: RecordingHappened;
  /** ms at which one did or noted something oneself. */
  marked: number[];
  onSeek: (to: number) => void;
}

/** The run strip of the class as its scrubber: chapters in proportion, what was watched filled. */
export function Scrubber({ length, chapters, time, happened, marked, onSeek }: Props) {
  const share = length > 0 ? (time / length) * 100 : 0;
  const present = chapters.find((chapter) => time >= chapter.from && time < chapter.to);

  const to = (event: PointerEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    onSeek(Math.min(Math.max((event.clientX - box.left) / box.width, 0), 1) * length);
  };
  const key = (event: KeyboardEvent) => {
    const steps: Record<string, number> = { ArrowLeft: -5_000, ArrowRight: 5_000, PageUp: 60_000, PageDown: -60_000 };
    const target =
      event.key === 'Home' ? 0 : event.key === 'End' ? length : steps[event.key] ? time + steps[event.key]! : null;
    if (target === null) return;
    event.preventDefault();
    event.stopPropagation();
    onSeek(Math.min(Math.max(target, 0), length));
  };

  return (
    <Box
      role="slider"
      tabIndex={0}
      aria-label="Moment of the recording"
      aria-valuemin={0}
      aria-valuemax={Math.round(length / 1000)}
      aria-valuenow={Math.round(time / 1000)}
      aria-valuetext={`${duration(time)}${present ? `, ${present.title}` : ''}`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        to(event);
      }}
      onPointerMove={(event) => event.buttons === 1 && to(event)}
      onKeyDown={key}
      sx={{
        position: 'relative',
        display: 'flex',
        height: 46,
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        overflow: 'hidden',
        cursor: 'pointer',
        bgcolor: 'background.paper',
        touchAction: 'none',
      }}
    >
      <Box
        aria-hidden
        sx={{ position: 'absolute', top: 0, bottom: 0, left: 0, width: `${share}%`, bgcolor: 'veranda.wash' }}
      />
      {happened && length > 0 && <Happenings {...{ happened, length, marked }} />}
      {chapters.map((chapter) => (
        <Box
          key={chapter.from}
          title={`${chapter.title}, ${duration(chapter.from)}`}
          sx={{
            position: 'absolute',
            left: `${(chapter.from / length) * 100}%`,
            width: `${((chapter.to - chapter.from) / length) * 100}%`,
            bottom: 0,
            top: 0,
            pl: 1,
            pt: 2.75,
            fontSize: 13,
            lineHeight: 1.2,
            fontWeight: chapter === present ? 700 : 400,
            borderLeft: chapter.from > 0 ? 1 : 0,
            borderColor: 'divider',
            overflow: 'hidden',
            whiteSpace: 'nowrap',
            textOverflow: 'ellipsis',
          }}
        >
          {chapter.title}
        </Box>
      ))}
      <Box
        aria-hidden
        sx={{
          position: 'absolute',
          top: 0,
          bottom: 0,
          left: `calc(${share}% - 1px)`,
          width: '2px',
          bgcolor: 'error.main',
        }}
      />
    </Box>
  );
}
