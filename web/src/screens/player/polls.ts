import type { Question } from '../../api/shapes';
import type { PollState } from '../../live/poll';
import { pollStream } from '../../live/streams';
import type { Recorder } from './Recorder';

/** @returns the polls that had begun by the moment of a recording, the last opened last */
export const pollsThen = (recorder: Recorder, sitting: string): (PollState & { question: Question })[] =>
  recorder
    .names()
    .filter((name) => name.startsWith(pollStream(sitting, '')))
    .map((name) => recorder.view<PollState>(name)!)
    .filter((state): state is PollState & { question: Question } => state.question !== null)
    .sort((one, other) => (one.rounds.at(-1)?.opened_at ?? 0) - (other.rounds.at(-1)?.opened_at ?? 0));
