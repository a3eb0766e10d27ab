import type { RecordingRow } from '../../api/shapes';

/** Which recordings one looks for; what is empty chooses nothing. */
export interface Choice {
  words: string;
  course: string;
  teacher: string;
  /** Days, `2026-11-23`, both of them within. */
  from: string;
  to: string;
}

export const EVERYTHING: Choice = { words: '', course: '', teacher: '', from: '', to: '' };

const dayOf = (at: number) => {
  const date = new Date(at);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
};

/** @returns those of a course, a teacher and some days; words are looked for by the server */
export const chosen = (rows: RecordingRow[], { course, teacher, from, to }: Choice): RecordingRow[] =>
  rows.filter(
    (row) =>
      (course === '' || row.course === course) &&
      (teacher === '' || row.taught.includes(teacher)) &&
      (from === '' || dayOf(row.at) >= from) &&
      (to === '' || dayOf(row.at) <= to),
  );
