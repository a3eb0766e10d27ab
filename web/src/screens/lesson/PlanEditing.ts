import type { LessonFacts, PlanView } from '../../api/shapes';
import type { LiveClient } from '../../live/LiveClient';
import { planStream } from '../../live/streams';
import { lost, planAfter, takingBack, wishes, type Conflict, type Edit } from './planEdits';

/** What one did at once, and what takes it back; `seen` is the last entry that was known when the server had all of it. */
interface Act {
  edits: Edit[];
  back: Edit[];
  seen?: number;
}

const MOST_ACTS = 100;
const MOST_CONFLICTS = 20;

/**
 * One person's work on the plan of a lesson, free of any framework. What one does shows at once and is sent as commands of their own, so
 * that what is refused takes nothing else along; what somebody else set in the meantime stays theirs and is told.
 */
export class PlanEditing {
  conflicts: Conflict[] = [];
  /** What the server has not answered. */
  private unanswered: Edit[] = [];
  private done: Act[] = [];
  private undone: Act[] = [];
  private listeners = new Set<() => void>();
  /** Goes up whenever anything here is different. */
  version = 0;
  private stream: string;
  private before: PlanView;

  /**
   * @param client of the lesson
   * @param first the lesson as it was when the page was opened: what is shown until the live connection tells of its plan
   */
  constructor(
    private client: LiveClient,
    private first: LessonFacts,
  ) {
    this.stream = planStream(first.id);
    this.before = planOf(first);
  }

  /** Calls back whenever the plan, or what one did to it, is different; the answer stops that. */
  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    const deaf = this.client.subscribe(listener);
    return () => {
      this.listeners.delete(listener);
      deaf();
    };
  };

  /** The plan as it is shown, own unanswered edits included. */
  get plan(): PlanView {
    return this.client.view<PlanView>(this.stream) ?? this.before;
  }

  /** Number of the last entry that is known of the plan. */
  get seen(): number {
    return this.client.head(this.stream) ?? this.first.version;
  }

  get unsaved() {
    return this.unanswered.length > 0;
  }

  get canUndo() {
    return this.done.length > 0;
  }

  get canRedo() {
    return this.undone.length > 0;
  }

  /**
   * Does something to the plan.
   * @param edits what is taken back together
   * @param seen what was known when one began to type; what is known now, without it
   */
  edit = (edits: Edit[], seen = this.seen) => {
    this.undone = [];
    return this.act(edits, seen, this.done);
  };

  /** Takes back what one did last, where nobody has set the same since. */
  undo = () => this.again(this.done, this.undone);
  redo = () => this.again(this.undone, this.done);

  forgetConflicts = () => {
    this.conflicts = [];
    this.tell();
  };

  private again(from: Act[], to: Act[]) {
    const act = from.pop();
    return act ? this.act(act.back, act.seen ?? this.seen, to) : undefined;
  }

  private async act(edits: Edit[], seen: number, onto: Act[]) {
    const act: Act = { edits, back: backOf(this.plan, edits) };
    onto.push(act);
    onto.splice(0, onto.length - MOST_ACTS);
    const answers = await Promise.all(edits.map((one) => this.give(one, seen)));
    act.seen = this.seen;
    // What was not done is not taken back.
    if (answers.every((ok) => !ok)) this.forget(act);
    this.tell();
  }

  private async give(edit: Edit, seen: number): Promise<boolean> {
    this.unanswered = [...this.unanswered, edit];
    this.reckon();
    const shown = this.plan;
    // Those that take no notice of what was seen have no such field.
    const heeds = edit.name !== 'plan.add_step' && edit.name !== 'plan.move_step';
    const told = await this.client.do(edit.name, this.stream, (heeds ? { ...edit.input, seen } : edit.input) as never);
    this.unanswered = this.unanswered.filter((one) => one !== edit);
    this.reckon();
    const now = this.client.confirmed<PlanView>(this.stream);
    // Whoever wrote into a step that somebody else took out still has their words.
    const theirs = told.ok ? now && lost(now, edit) : told.code === 'no_such_step' && wishes(shown, edit);
    if (theirs) this.conflicts = [...this.conflicts, ...theirs].slice(-MOST_CONFLICTS);
    return told.ok;
  }

  private forget(act: Act) {
    this.done = this.done.filter((one) => one !== act);
    this.undone = this.undone.filter((one) => one !== act);
  }

  /** The same plan until something is different, as React wishes. */
  private reckon() {
    this.before = planAfter(planOf(this.first), this.unanswered);
    this.tell();
  }

  private tell() {
    this.version++;
    this.listeners.forEach((listener) => listener());
  }
}

function planOf(lesson: LessonFacts): PlanView {
  const { course_id, number, title, starts_at, minutes, steps, record_from } = lesson;
  const { welcome, welcome_ink, welcome_picture, invited_only } = lesson;
  const doors = { welcome, welcome_ink, welcome_picture, invited_only };
  const { cancelled, held, series, slot } = lesson;
  const day = { starts_at, minutes, cancelled, held, series, slot };
  return { course_id, number, title, ...day, steps, record_from, ...doors };
}

/** What takes back several edits, the last of them first. */
function backOf(plan: PlanView, edits: Edit[]): Edit[] {
  return edits
    .map((edit, index) => takingBack(planAfter(plan, edits.slice(0, index)), edit))
    .filter((edit) => edit !== undefined)
    .reverse();
}
