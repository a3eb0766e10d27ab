import type { RecordingFacts } from '../../api/shapes';
import type { PlaceState } from '../../live/place';
import { placeStream } from '../../live/streams';
import { pollsThen } from './polls';
import type { Recorder } from './Recorder';
import { useTold } from './usePlayback';

/**
 * @param at the place that is watched
 * @returns what lies on the paper, in one word: another one whenever something else does, however one came there
 */
export const useOnShow = (recorder: Recorder, facts: RecordingFacts, at: string): string =>
  useTold(recorder, () => {
    const place = recorder.view<PlaceState>(placeStream(facts.id, at));
    const poll = pollsThen(recorder, facts.id).findLast(({ shown }) => shown)?.question.text;
    const { looking } = recorder;
    return [
      at,
      looking?.board,
      looking?.page,
      place?.shown?.board,
      place?.shown?.page,
      place?.clip?.material,
      poll,
    ].join();
  });
