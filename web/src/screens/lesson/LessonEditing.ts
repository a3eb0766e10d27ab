import { get, patch, type Refused } from '../../api/http';
import type { Conflict, LessonFacts, Step } from '../../api/shapes';

export type Changes = Partial<
  Pick<
    LessonFacts,
    'title' | 'steps' | 'minutes' | 'record_from' | 'welcome' | 'welcome_ink' | 'welcome_picture' | 'invited_only'
  >
>;
/** A change, told by what becomes of the lesson as it is when its turn comes. */
export type Edit = (lesson: LessonFacts) => Changes;

/** Ms after which saving is tried again while the server is away. */
const AGAIN = 2_000;
const MOST_CONFLICTS = 20;
/** Answers to what would be refused again: there is no such thing, or it makes no sense. */
const SENSELESS = new Set([400, 404, 409, 410, 422]);

/** What a lesson's edits are made of, for {@link LessonEditing.edit}. */
export const edits = {
  step:
    (id: string, changes: Partial<Step>): Edit =>
    ({ steps }) => ({ steps: steps.map((step) => (step.id === id ? { ...step, ...changes } : step)) }),
  add:
    (step: Step): Edit =>
    ({ steps }) => ({ steps: [...steps, step] }),
  remove:
    (id: string): Edit =>
    ({ steps }) => ({ steps: steps.filter((step) => step.id !== id) }),
  /** Puts a step where another one is. */
  move:
    (id: string, to: string): Edit =>
    ({ steps }) => {
      const [from, index] = [id, to].map((one) => steps.findIndex((step) => step.id === one));
      const step = steps[from!];
      return { steps: step && index! >= 0 ? steps.toSpliced(from!, 1).toSpliced(index!, 0, step) : steps };
    },
};

/**
 * A lesson while it is edited, free of any framework. What one does shows at once and is laid on top of whatever comes from the server,
 * until the server has it; saves go one after the other and carry all that was done since. While the server is away they wait.
 * What it refuses is taken back, with the reason; what somebody else changed in the same field stays theirs and is told.
 */
export class LessonEditing {
  /** The lesson with everything that was done to it here. */
  lesson: LessonFacts | undefined;
  conflicts: Conflict[] = [];
  error: Refused | null = null;

  private server: LessonFacts | undefined;
  private waiting: Edit[] = [];
  private underway: Edit[] = [];
  private timer: ReturnType<typeof setTimeout> | undefined;
  private listeners = new Set<() => void>();
  /** Goes up whenever anything is different. */
  version = 0;

  constructor(private id: string) {}

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  /** Whether something was done here that the server does not have. */
  get unsaved() {
    return this.waiting.length + this.underway.length > 0;
  }

  /** Looks at the lesson afresh. An answer that is older than what is known already is passed over. */
  load = async () => {
    try {
      const fresh = await get<LessonFacts>(`/api/lessons/${this.id}`);
      if (!this.server || !(fresh.version < this.server.version)) this.server = fresh;
      if (!this.unsaved) this.error = null;
    } catch (error) {
      this.error = error as Refused;
    }
    this.show();
  };

  edit = (edit: Edit) => {
    this.waiting.push(edit);
    this.show();
    void this.save();
  };

  forgetConflicts = () => {
    this.conflicts = [];
    this.show();
  };

  private async save() {
    if (this.underway.length > 0 || this.waiting.length === 0 || !this.server) return;
    clearTimeout(this.timer);
    this.timer = undefined;
    this.underway = this.waiting;
    this.waiting = [];
    try {
      const { conflicts = [], ...fresh } = await patch<LessonFacts>(`/api/lessons/${this.id}`, {
        ...changesBy(this.underway, this.server),
        version: this.server.version,
      });
      this.server = fresh;
      this.error = null;
      this.conflicts = [...this.conflicts, ...conflicts].slice(-MOST_CONFLICTS);
    } catch (error) {
      this.fail(error as Refused);
    }
    this.underway = [];
    this.show();
    if (!this.timer) void this.save();
  }

  /** The server being away, or one being signed out, is no refusal: what was done waits. */
  private fail(error: Refused) {
    this.error = error;
    if (SENSELESS.has(error.status)) return;
    this.waiting = [...this.underway, ...this.waiting];
    this.timer = setTimeout(() => {
      this.timer = undefined;
      void this.save();
    }, AGAIN);
  }

  private show() {
    const edited = [...this.underway, ...this.waiting];
    this.lesson = this.server && { ...this.server, ...changesBy(edited, this.server) };
    this.version++;
    this.listeners.forEach((listener) => listener());
  }
}

/** All that some edits change in a lesson, each made of what the ones before it left. */
function changesBy(all: Edit[], lesson: LessonFacts): Changes {
  return all.reduce<Changes>((changes, edit) => ({ ...changes, ...edit({ ...lesson, ...changes }) }), {});
}
