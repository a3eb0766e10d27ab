import MenuItem from '@mui/material/MenuItem';
import { useEffect } from 'react';
import type { RecordingFacts } from '../../api/shapes';
import { MenuWord } from '../../parts/fields/MenuWord';
import type { Recorder } from './Recorder';
import { useTold } from './usePlayback';

interface Props {
  recorder: Recorder;
  facts: RecordingFacts;
}

/** While breakout rooms were open: which of those that one may look into is watched, or the main room. */
export function RoomThen({ recorder, facts }: Props) {
  const open = useTold(recorder, ({ time }) =>
    facts.rooms
      .filter(({ from, to }) => time >= from && time < to)
      .map(({ id }) => id)
      .join(),
  );
  const room = useTold(recorder, (at) => at.room);
  const ids = open === '' ? [] : open.split(',');
  const gone = room !== null && !ids.includes(room);
  useEffect(() => {
    if (gone) recorder.watch(null);
  }, [gone, recorder]);
  if (ids.length === 0) return null;
  const rooms = facts.rooms.filter(({ id }) => ids.includes(id));
  const watched = rooms.find(({ id }) => id === room)?.name ?? 'Main room';
  return (
    <MenuWord label={`In: ${watched}`} hint="Which room you watch" picked={room !== null}>
      {(close) =>
        [{ id: null, name: 'Main room' }, ...rooms].map(({ id, name }) => (
          <MenuItem key={id} selected={id === room} onClick={() => close(() => recorder.watch(id))}>
            {name}
          </MenuItem>
        ))
      }
    </MenuWord>
  );
}
