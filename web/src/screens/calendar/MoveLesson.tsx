import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { get, patch } from '../../api/http';
import type { CalendarLesson, Clashes } from '../../api/shapes';
import { fromField, toField, WhenField } from '../../parts/fields/WhenField';
import { useNow } from '../../parts/hooks/useNow';
import { useRested } from '../../parts/hooks/useRested';
import { clockTime, day } from '../../parts/words/times';
import { cityOf, differ, ownZone, wallIn } from '../../parts/words/zones';
import { whoClashes } from './clashes';

/** What of a lesson has to be known to put it elsewhere. */
export type Movable = Pick<CalendarLesson, 'id' | 'title' | 'course_id' | 'zone' | 'starts_at' | 'minutes' | 'version'>;

interface Props {
  lesson: Movable;
  /** ms, to where it was dragged; where it is unless given. */
  to?: number;
  /** Where what one does to its plan is kept, so that it can be taken back; else the server is asked. */
  onMove?: (set: Partial<Pick<Movable, 'starts_at' | 'minutes'>>) => void;
  onDone: () => void;
  onClose: () => void;
}

/** ms for which a time has to stand before who would clash is asked. */
const REST = 300;

/** Puts a lesson elsewhere, having told who would be in another one then and which day near by has no clash. */
export function MoveLesson({ lesson, to = lesson.starts_at, onMove, onDone, onClose }: Props) {
  const queries = useQueryClient();
  const [when, setWhen] = useState(toField(to));
  const [minutes, setMinutes] = useState(String(lesson.minutes));
  const now = useNow(10_000);
  const at = fromField(when);
  const length = Number(minutes);
  const sound = at !== null && Number.isInteger(length) && length >= 5 && length <= 600;
  const question = sound ? `from=${at}&minutes=${length}&lesson=${lesson.id}` : null;
  const asked = useRested(question, REST);
  const clashes = useQuery({
    queryKey: ['clashes', lesson.course_id, asked],
    queryFn: () => get<Clashes>(`/api/courses/${lesson.course_id}/clashes?${asked}`),
    enabled: asked !== null,
    placeholderData: keepPreviousData,
  });
  const move = useMutation({
    mutationFn: async () => {
      const set = {
        ...(at === lesson.starts_at ? {} : { starts_at: at! }),
        ...(length === lesson.minutes ? {} : { minutes: length }),
      };
      if (onMove) onMove(set);
      else await patch(`/api/lessons/${lesson.id}`, { version: lesson.version, ...set });
    },
    onSuccess: () => onDone(),
    // Somebody else may have put it elsewhere.
    onError: () => void queries.invalidateQueries({ queryKey: ['calendar'] }),
  });
  // What is known of another time says nothing of this one.
  const known = question === asked && !clashes.isPlaceholderData ? clashes.data : undefined;
  const other = known && known.count > 0 ? known : null;
  const past = at !== null && at < now;
  const same = at === lesson.starts_at && length === lesson.minutes;
  return (
    <Box
      component="section"
      aria-label={`Move “${lesson.title}”`}
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
      sx={{
        bgcolor: 'veranda.ochreWash',
        borderRadius: 1,
        p: 1.5,
        display: 'flex',
        flexDirection: 'column',
        gap: 1.5,
        '& input': { fontSize: 14, px: 1.25 },
      }}
    >
      <Box sx={{ fontWeight: 700 }}>
        Moving “{lesson.title}”{at !== null && !same && ` to ${day(at, 'short')}, ${clockTime(at)}`}
      </Box>
      <WhenField label="When it is taught" value={when} onValue={setWhen} />
      <TextField
        size="small"
        label="Minutes"
        value={minutes}
        error={!sound && at !== null}
        onChange={(event) => setMinutes(event.target.value)}
        slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 3 } }}
      />
      {at !== null && differ(ownZone(), lesson.zone, at) && (
        <Box sx={{ fontSize: 14 }}>
          {wallIn(lesson.zone, at).slice(11)} in {cityOf(lesson.zone)}, where the course is.
        </Box>
      )}
      <Box role="status" sx={{ fontSize: 14 }}>
        {past && !same && <Box>That is in the past.</Box>}
        {clashes.error && (
          <Box sx={{ color: 'error.main' }}>Who would be elsewhere could not be asked: {clashes.error.message}</Box>
        )}
        {other && whoClashes(other).map((says) => <Box key={says}>{says}</Box>)}
        {known?.count === 0 && !same && <Box>Nobody is in another class then.</Box>}
      </Box>
      {move.error && (
        <Box role="alert" sx={{ color: 'error.main' }}>
          {move.error.message}
        </Box>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button
          variant="contained"
          color="primary"
          disabled={!sound || same || move.isPending}
          onClick={() => move.mutate()}
        >
          {other || past ? 'Move it all the same' : 'Move it'}
        </Button>
        {other?.free && (
          <Button onClick={() => setWhen(toField(other.free!))}>{day(other.free, 'short')} has no clash</Button>
        )}
        <Button onClick={onClose}>Leave it</Button>
      </Box>
    </Box>
  );
}
