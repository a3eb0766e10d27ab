import { PLAIN_STEP } from '../api/contracts';
import type { Entry, PlanView, Step } from '../api/shapes';
import type { Fold } from './fold';
import { inputOf, type Pending } from './pending';

export type PlanState = PlanView;

/** Comes behind another step; first of all where there is none to follow, and last where that one went. */
function placed(steps: Step[], step: Step, after: string | null): Step[] {
  const others = steps.filter(({ id }) => id !== step.id);
  const index = others.findIndex(({ id }) => id === after);
  return others.toSpliced(after === null ? 0 : index < 0 ? others.length : index + 1, 0, step);
}

const plain = (step: Partial<Step> & { id: string }) => ({ ...PLAIN_STEP, ...step }) as Step;

const changes = {
  set: (plan: PlanState, { steps, ...fields }: Partial<PlanState>): PlanState => ({
    ...plan,
    ...fields,
    ...(steps && { steps: steps.map(plain) }),
  }),
  add: (plan: PlanState, step: Partial<Step> & { id: string }, after: string | null): PlanState => ({
    ...plan,
    steps: placed(plan.steps, plain(step), after),
  }),
  setStep: (plan: PlanState, id: string, set: Partial<Step>): PlanState => ({
    ...plan,
    steps: plan.steps.map((step) => (step.id === id ? { ...step, ...set } : step)),
  }),
  move(plan: PlanState, id: string, after: string | null): PlanState {
    const step = plan.steps.find((one) => one.id === id);
    return step ? { ...plan, steps: placed(plan.steps, step, after) } : plan;
  },
  take: (plan: PlanState, id: string): PlanState => ({ ...plan, steps: plan.steps.filter((step) => step.id !== id) }),
};

/** Follows what is to be done in a lesson, as `Core::Lessons::Plan` does. */
export const planFold: Fold<PlanState> = {
  from: (view) => view as PlanState,
  apply(plan, { kind, body }: Entry) {
    switch (kind) {
      case 'plan_begun':
      case 'plan_set':
        return changes.set(plan, body as Partial<PlanState>);
      case 'step_added':
        return changes.add(plan, body.step, body.after);
      case 'step_set':
        return changes.setStep(plan, body.id, body.set);
      case 'step_moved':
        return changes.move(plan, body.id, body.after);
      case 'step_taken':
        return changes.take(plan, body.id);
      default:
        return plan;
    }
  },
  early: (plan, command) => planWith(plan, command),
};

/** What a command makes of a plan that nobody else works on. */
export function planWith(plan: PlanState, command: Pick<Pending, 'name' | 'input'>): PlanState {
  const given = command as Pending;
  const set = inputOf(given, 'plan.set');
  if (set) return changes.set(plan, set.set as Partial<PlanState>);
  const add = inputOf(given, 'plan.add_step');
  if (add) return changes.add(plan, { ...(add.set as Partial<Step>), id: add.step }, add.after);
  const setStep = inputOf(given, 'plan.set_step');
  if (setStep) return changes.setStep(plan, setStep.step, setStep.set as Partial<Step>);
  const move = inputOf(given, 'plan.move_step');
  if (move) return changes.move(plan, move.step, move.after);
  const take = inputOf(given, 'plan.take_step');
  return take ? changes.take(plan, take.step) : plan;
}
