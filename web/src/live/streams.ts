/** Names of streams, as `Core::Streams::StreamName` has them. */
export const MAIN = 'main';
export const WAITING = 'waiting';

export const boardStream = (board: string) => `board/${board}`;
export const sittingStream = (sitting: string) => `sitting/${sitting}`;
export const staffStream = (sitting: string) => `staff/${sitting}`;
export const placeStream = (sitting: string, place: string = MAIN) => `place/${sitting}.${place}`;
export const exchangeStream = (sitting: string, place: string = MAIN) => `exchange/${sitting}.${place}`;
export const threadStream = (sitting: string, thread: string) => `thread/${sitting}.${thread}`;
export const pollStream = (sitting: string, poll: string) => `poll/${sitting}.${poll}`;
export const questionsStream = (sitting: string) => `questions/${sitting}`;
export const askedStream = (sitting: string) => `asked/${sitting}`;
export const ownStream = (sitting: string, person: string) => `own/${sitting}.${person}`;
export const courseStream = (course: string) => `course/${course}`;
export const peopleStream = (course: string) => `people/${course}`;
export const planStream = (lesson: string) => `plan/${lesson}`;

/** @returns the kind of a stream */
export const kindOf = (stream: string) => stream.split('/', 1)[0]!;
/** @returns the place or person that a stream belongs to */
export const partOf = (stream: string) => stream.split('.')[1];
/** @returns the place that a board of a class lies in: that of a room has its room's id at the front, all others lie in the main room */
export const placeOfBoard = (stream: string) => /^board\/([\w-]+?)--/.exec(stream)?.[1] ?? MAIN;
/** @returns id of the class that a stream belongs to */
export const sittingOf = (stream: string) => stream.slice(stream.indexOf('/') + 1).split('.', 1)[0]!;
