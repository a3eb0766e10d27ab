import type { RecordingFacts, Track } from '../../api/shapes';
import type { SittingState } from '../../live/sitting';
import { sittingStream } from '../../live/streams';
import type { Recorder } from './Recorder';

/** @returns whether a track was heard or seen in the room that is watched: its own, and whoever spoke to all rooms */
function belongs(recorder: Recorder, sitting: string, { person, room, kind }: Track): boolean {
  if (recorder.room === (room ?? null)) return true;
  const address = room === undefined ? recorder.view<SittingState>(sittingStream(sitting))?.address : null;
  return address?.person === person && (kind === 'screen' ? address.screen : address.voice);
}

/** @returns tracks of the room that is watched that go on just now, or begin within `early` ms */
export const tracksNow = (recorder: Recorder, { id, tracks }: RecordingFacts, early = 0): Track[] =>
  tracks.filter(
    (track) =>
      recorder.wall > track.from - early - 1 &&
      recorder.wall < track.from + track.length &&
      belongs(recorder, id, track),
  );

/** @returns the screen that was shared just then, if any of it was recorded */
export const screenNow = (recorder: Recorder, facts: RecordingFacts): Track | undefined =>
  tracksNow(recorder, facts).find(({ kind }) => kind === 'screen');
