import type { LessonFacts, Step } from '../api/shapes';

export const step = (id: string, more: Partial<Step> = {}): Step => ({
  id,
  title: id,
  minutes: 10,
  shortest: 5,
  notes: '',
  leads: 'paper',
  board: null,
  material: null,
  rules: null,
  cues: [],
  ...more,
});

export const lesson = (more: Partial<LessonFacts> = {}): LessonFacts => ({
  id: 'l',
  title: 'Sound signals',
  number: 3,
  minutes: 90,
  role: 'instructor',
  starts_at: Date.UTC(2026, 10, 25, 18),
  course: 'Coastal Navigation for Small Boats',
  course_id: 'navigation',
  steps: [step('one'), step('two')],
  record_from: null,
  welcome: '',
  welcome_ink: null,
  welcome_picture: null,
  invited_only: false,
  version: 1,
  sheet: { total: 20, minutes: 90, over: 0, rows: [], slack: 10, squeeze: null },
  boards: [],
  copies: [],
  to_mend: [],
  ...more,
});
