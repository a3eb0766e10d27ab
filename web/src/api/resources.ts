/** Shapes of what the server's resources answer with. Times are ms since the epoch, lengths ms. */

export interface Finding {
  code: string;
  says: string;
  step: string | null;
}

export interface DeskLesson {
  id: string;
  title: string;
  number: number;
  minutes: number;
  role: string;
  starts_at: number;
  course: string;
  host: string;
  class: {
    id: string;
    status: 'planned' | 'open' | 'ended';
    here: number;
    shared: boolean;
    recorded: number | null;
  } | null;
  steps?: { title: string; minutes: number }[];
  boards?: number;
  record_from?: string | null;
  to_mend?: Finding[];
}

export interface DeskFacts {
  now: number;
  lessons: DeskLesson[];
  waiting: { recordings: { id: string; title: string }[]; lessons: { id: string; title: string; count: number }[] };
}

export interface Step {
  id: string;
  title: string;
  minutes: number;
  shortest: number;
  notes: string;
  board: string | null;
}

export interface BoardRow {
  id: string;
  name: string;
  audience: 'everyone' | 'staff';
}

export interface LessonFacts {
  id: string;
  title: string;
  number: number;
  course: string;
  course_id: string;
  starts_at: number;
  minutes: number;
  steps: Step[];
  record_from: string | null;
  version: number;
  role: string;
  sheet: { total: number; minutes: number; over: number; rows: (Step & { starts_at: number })[] };
  boards: BoardRow[];
  to_mend: Finding[];
}

export interface RecordingRow {
  id: string;
  title: string;
  number: number;
  course: string;
  at: number;
  length: number;
  chapters: string[];
  shared: boolean;
  staff: boolean;
}

export interface Chapter {
  title: string;
  from: number;
  to: number;
}

export interface RecordingFacts {
  id: string;
  title: string;
  course: string;
  staff: boolean;
  shared: boolean;
  at: number;
  length: number;
  chapters: Chapter[];
  /** What is left to see of the class, from and to in ms since the epoch. */
  stretches: [number, number][];
  cuts: number;
  boards: BoardRow[];
  people: { id: string; name: string; role: string }[];
}
