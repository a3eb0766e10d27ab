/** What to do about a recording that one could watch before. */
const LINK =
  'If you had a link to it, the link has been taken back or has expired: ask whoever teaches the class for a new one.';

/** @returns why a recording, or more of it, cannot be had, in words that help */
export const troubleOf = (error: Error): string =>
  (error as { code?: string }).code === 'no_such_recording' ? `${error.message} ${LINK}` : error.message;
