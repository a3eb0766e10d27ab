import type { Commands } from '../../api/contracts';
import type { PlanView, Step } from '../../api/shapes';
import { planWith } from '../../live/plan';

type Name = Extract<keyof Commands, `plan.${string}`>;
/** Fields of the lesson itself that are edited. */
export type PlanFields = Partial<
  Pick<
    PlanView,
    'title' | 'starts_at' | 'minutes' | 'record_from' | 'welcome' | 'welcome_ink' | 'welcome_picture' | 'invited_only'
  >
>;
/** One command on a plan; what its author had seen of the plan is said when it is given. */
export type Edit = { [N in Name]: { name: N; input: Omit<Commands[N], 'seen'> } }[Name];

const edit = <N extends Name>(name: N, input: Omit<Commands[N], 'seen'>) => ({ name, input }) as Edit;

export const edits = {
  set: (set: PlanFields) => edit('plan.set', { set: set as Commands['plan.set']['set'] }),
  step: (step: string, set: Partial<Step>) =>
    edit('plan.set_step', { step, set: set as Commands['plan.set_step']['set'] }),
  add: ({ id, ...set }: Step, after: string | null) =>
    edit('plan.add_step', { step: id, after, set: set as Commands['plan.add_step']['set'] }),
  remove: (step: string) => edit('plan.take_step', { step }),
  move: (step: string, after: string | null) => edit('plan.move_step', { step, after }),
};

/** Puts a step where another one is. */
export function moveTo(plan: Pick<PlanView, 'steps'>, id: string, onto: string): Edit {
  const ids = plan.steps.map((step) => step.id);
  const [from, to] = [ids.indexOf(id), ids.indexOf(onto)];
  return edits.move(id, ids[from < to ? to : to - 1] ?? null);
}

const before = (plan: PlanView, id: string) =>
  plan.steps[plan.steps.findIndex((step) => step.id === id) - 1]?.id ?? null;
const fieldsOf = (now: object, set: object) =>
  Object.fromEntries(Object.keys(set).map((field) => [field, (now as Record<string, unknown>)[field]]));

/** @returns what takes an edit back on the plan that it was made on; undefined where it changes nothing */
export function takingBack(plan: PlanView, { name, input }: Edit): Edit | undefined {
  if (name === 'plan.set') return edits.set(fieldsOf(plan, input.set));
  if (name === 'plan.add_step') return edits.remove(input.step);
  const step = plan.steps.find(({ id }) => id === input.step);
  if (!step) return undefined;
  if (name === 'plan.set_step') return edits.step(step.id, fieldsOf(step, input.set));
  return name === 'plan.take_step'
    ? edits.add(step, before(plan, step.id))
    : edits.move(step.id, before(plan, step.id));
}

/** A field that somebody else had changed, so that theirs was kept; `step` is null for the lesson itself. */
export interface Conflict {
  step: string | null;
  field: string;
  title: string;
  mine: unknown;
}

const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

const stepOf = (plan: PlanView, { name, input }: Edit) =>
  name === 'plan.set_step' ? plan.steps.find(({ id }) => id === input.step) : undefined;

/** @returns every field that an edit would set */
export function wishes(plan: PlanView, edit: Edit): Conflict[] {
  if (edit.name !== 'plan.set' && edit.name !== 'plan.set_step') return [];
  const step = stepOf(plan, edit);
  const title = step?.title ?? plan.title ?? '';
  return Object.entries(edit.input.set).map(([field, mine]) => ({ step: step?.id ?? null, field, title, mine }));
}

/** @returns what of an edit is not so in the plan as it came to be */
export function lost(plan: PlanView, edit: Edit): Conflict[] {
  const step = stepOf(plan, edit);
  if (edit.name === 'plan.set_step' && !step) return [];
  const now = (step ?? plan) as unknown as Record<string, unknown>;
  return wishes(plan, edit).filter(({ field, mine }) => !same(tidy(mine), tidy(now[field])));
}

/** Blanks in titles are tidied by the core. */
const tidy = (value: unknown) => (typeof value === 'string' ? value.replace(/\s+/g, ' ').trim() : value);

/** @returns the plan with some edits done to it */
export const planAfter = (plan: PlanView, all: Edit[]): PlanView => all.reduce((now, one) => planWith(now, one), plan);
