/** Shapes of what the server's resources answer with. Times are ms since the epoch, lengths ms. */

export interface Finding {
  code: string;
  says: string;
  step: string | null;
  board: string | null;
  page: string | null;
  mark: string | null;
  material: string | null;
}

/** Something prepared on a step, to be done by one key in class. */
export interface Cue {
  id: string;
  kind: 'show' | 'timer' | 'record';
  label?: string;
  board?: string;
  page?: string;
  seconds?: number;
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
  material: string | null;
  rules: Record<string, boolean> | null;
  cues: Cue[];
}

export interface BoardRow {
  id: string;
  name: string;
  audience: 'everyone' | 'staff';
  outside: 'closed' | 'read' | 'work';
  template: boolean;
  material_id: string | null;
  first_page: string;
}

/** A board as it is found among all others. */
export interface FoundBoard {
  id: string;
  name: string;
  lesson_id: string;
  lesson: string;
  starts_at: number;
  template: boolean;
  material_id: string | null;
  pages: number | null;
  marks: number | null;
  words: string;
  authors: string | null;
  used_at: number | null;
}

/** What somebody did on a board since one last looked. */
export interface News {
  board: string;
  person: string;
  name: string;
  count: number;
  at: number;
}

export interface Course {
  id: string;
  name: string;
  role: string;
}

export interface Material {
  id: string;
  course_id: string;
  title: string;
  labels: string[];
  version: number;
  first_slide: number;
  link: string | null;
  name: string;
  type: string;
  kind: 'document' | 'picture' | 'sound' | 'clip' | 'link';
  size: number;
  state: 'waiting' | 'working' | 'ready' | 'failed';
  /** What becomes of a newer version, while there is one that is not ready. */
  newer: 'waiting' | 'working' | 'failed' | null;
  slide_count: number | null;
  findings: { code: string; says: string }[];
  facts: { seconds?: number; w?: number; h?: number; waveform?: number[]; poster?: boolean };
  uses?: { board: string; name: string; lesson_id: string; lesson: string }[];
  made_at: number;
}

export interface Slide {
  slide: number;
  w: number;
  h: number;
  words: string;
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
  sheet: {
    total: number;
    minutes: number;
    over: number;
    rows: (Step & { starts_at: number })[];
    slack: number;
    /** Minutes to take off by step to meet the class length; null when there is not that much to spare. */
    squeeze: { step: string; less: number }[] | null;
  };
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
