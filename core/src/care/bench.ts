import { SOILS } from './knowledge/soils.js';
import type { Surface } from './knowledge/surfaces.js';
import type { Exposure, HeldOpen } from '../sensor/exposure.js';
import { EFFORTS, type CleaningPlan, type Effort, type Step } from './types.js';

/** The three answers after each look. On a look that asks for grains they mean: none left, fewer, still there. */
export const ANSWERS = ['clean-enough', 'better', 'no-change'] as const;
export type Answer = (typeof ANSWERS)[number];

/** What the person at the bench does. The list of these is the whole memory of a cleaning: undo drops the last. */
export type BenchEvent =
  | { type: 'ready' }
  | { type: 'done'; step: string }
  | { type: 'answer'; step: string; answer: Answer }
  | { type: 'leave-surface'; surface: Surface }
  /** The dry run of a sensor clean was done, and out in time. */
  | { type: 'rehearsed'; step: string }
  /** The power was checked, and this is how the sensor is held open. */
  | { type: 'power-checked'; step: string; heldOpen: HeldOpen }
  | ({ type: 'exposure'; step: string } & Exposure)
  /** How hard it turns: before the first drop, then after each. */
  | { type: 'turning'; step: string; effort: Effort }
  | { type: 'stop' };

/**
 * How it ended for a surface: clean enough; stopped because grains were left; all rungs climbed and it did not
 * come off (so it lies inside or is damage); left on purpose; or not reached.
 */
export type Outcome = 'clean-enough' | 'stopped-by-grit' | 'did-not-come-off' | 'left' | 'not-reached';

export type BenchState = {
  phase: 'prepare' | 'step' | 'look' | 'close';
  /** The step one stands on; null before the first and after the last. */
  step: Step | null;
  /** 1 for the first try on this rung. */
  attempt: number;
  outcomes: Partial<Record<Surface, Outcome>>;
  /** Touches made so far. */
  contacts: Partial<Record<Surface, number>>;
  /** Ids of the steps done, once per try. */
  done: string[];
  /** How the sensor is held open for this try; null until the power was checked. */
  heldOpen: HeldOpen | null;
  /** The exposure of this try; the last one started counts. */
  exposure: Exposure | null;
  rehearsed: boolean;
  /** How hard it turned, in the order it was felt. */
  turning: Effort[];
};

const START: BenchState = {
  phase: 'prepare',
  step: null,
  attempt: 1,
  outcomes: {},
  contacts: {},
  done: [],
  heldOpen: null,
  exposure: null,
  rehearsed: false,
  turning: [],
};
/** Each try asks for the power and an exposure of its own. */
const NOT_READY = { heldOpen: null, exposure: null } as const;

const close = (state: BenchState): BenchState => ({ ...state, ...NOT_READY, phase: 'close', step: null, attempt: 1 });
const standOn = (state: BenchState, step: Step | undefined): BenchState =>
  step ? { ...state, ...NOT_READY, phase: 'step', step, attempt: 1 } : close(state);

const after = (plan: CleaningPlan, step: Step): Step[] => plan.steps.slice(plan.steps.findIndex((s) => s.id === step.id) + 1);
const nextOnSurface = (plan: CleaningPlan, step: Step) => after(plan, step).find((s) => s.surface === step.surface);
const nextSurface = (plan: CleaningPlan, step: Step) => after(plan, step).find((s) => s.surface !== step.surface);
/** The air that must follow a brush, whatever the look said. */
const completionOf = (plan: CleaningPlan, step: Step) => plan.steps.find((s) => s.completes === step.id);

function endSurface(plan: CleaningPlan, state: BenchState, step: Step, outcome: Outcome): BenchState {
  const ended = { ...state, outcomes: { ...state.outcomes, [step.surface]: outcome } };
  const completion = completionOf(plan, step);
  return standOn(ended, completion ?? nextSurface(plan, step));
}

/** The next rung, or the end of the ladder: then it is inside or it is damage, and rubbing stops. */
function climb(plan: CleaningPlan, state: BenchState, step: Step): BenchState {
  if (step.onNoChange === 'stop') return endSurface(plan, state, step, 'stopped-by-grit');
  const next = nextOnSurface(plan, step);
  return next ? standOn(state, next) : endSurface(plan, state, step, 'did-not-come-off');
}

const again = (state: BenchState): BenchState => ({ ...state, ...NOT_READY, phase: 'step', attempt: state.attempt + 1 });

/** "None left" frees the way to the wipes; where the loosening was all there was to do, the surface is done. */
function answerAboutGrains(plan: CleaningPlan, state: BenchState, step: Step, answer: Answer): BenchState {
  if (answer === 'better' && state.attempt < step.tries) return again(state);
  if (answer !== 'clean-enough') return climb(plan, state, step);
  const wipe = after(plan, step).find((s) => s.surface === step.surface && s.removes.some((soil) => SOILS[soil].nature !== 'loose'));
  const firstWipe = completionOf(plan, step) ?? (wipe?.look?.asks === 'grains' ? nextOnSurface(plan, wipe) : wipe);
  return firstWipe ? standOn(state, firstWipe) : endSurface(plan, state, step, 'clean-enough');
}

function answerAboutCleanness(plan: CleaningPlan, state: BenchState, step: Step, answer: Answer): BenchState {
  if (answer === 'clean-enough') return endSurface(plan, state, step, 'clean-enough');
  if (answer === 'better' && state.attempt < step.tries) return again(state);
  return climb(plan, state, step);
}

/** What still has to happen before a step may be done; null when nothing does. */
export type Waiting = 'dry-run' | 'power' | 'exposure' | 'turning';
export function waitingFor({ step, heldOpen, exposure, rehearsed, turning }: BenchState): Waiting | null {
  if (step?.sensor?.rehearseFirst && !rehearsed) return 'dry-run';
  if (step?.sensor && !heldOpen) return 'power';
  if (step?.sensor && heldOpen === 'exposure' && !exposure) return 'exposure';
  return step?.look?.asks === 'turning' && turning.length === 0 ? 'turning' : null;
}

/** Turns lightly enough: stop oiling. Easier: once more. No easier: oil is not the answer. */
function answerAboutTurning(plan: CleaningPlan, state: BenchState, step: Step, effort: Effort): BenchState {
  const before = EFFORTS.indexOf(state.turning.at(-1)!);
  const now = EFFORTS.indexOf(effort);
  const felt = { ...state, turning: [...state.turning, effort] };
  const answer: Answer = now <= EFFORTS.indexOf('light') ? 'clean-enough' : now < before ? 'better' : 'no-change';
  return answerAboutCleanness(plan, felt, step, answer);
}

function finishStep(plan: CleaningPlan, state: BenchState, step: Step): BenchState {
  const touched = step.contact ? { ...state.contacts, [step.surface]: (state.contacts[step.surface] ?? 0) + 1 } : state.contacts;
  const done = { ...state, contacts: touched, done: [...state.done, step.id] };
  // Air that only completes a brush on a surface already called clean needs no second verdict.
  if (step.completes && state.outcomes[step.surface] === 'clean-enough') return standOn(done, nextSurface(plan, step));
  return step.look ? { ...done, phase: 'look' } : climb(plan, done, step);
}

function applyEvent(plan: CleaningPlan, state: BenchState, event: BenchEvent): BenchState {
  const { step } = state;
  switch (event.type) {
    case 'ready':
      return state.phase === 'prepare' ? standOn(state, plan.steps[0]) : state;
    case 'done':
      return state.phase === 'step' && step?.id === event.step && !waitingFor(state) ? finishStep(plan, state, step) : state;
    case 'answer': {
      if (state.phase !== 'look' || step?.id !== event.step || step.look?.asks === 'turning') return state;
      const decide = step.look?.asks === 'grains' ? answerAboutGrains : answerAboutCleanness;
      return decide(plan, state, step, event.answer);
    }
    case 'leave-surface': {
      if (!step || step.surface !== event.surface) return state;
      const left = { ...state, outcomes: { ...state.outcomes, [step.surface]: 'left' as const } };
      return standOn(left, nextSurface(plan, step));
    }
    case 'rehearsed':
      return step?.id === event.step && step.sensor ? { ...state, rehearsed: true } : state;
    case 'power-checked':
      return state.phase === 'step' && step?.id === event.step && step.sensor ? { ...state, heldOpen: event.heldOpen } : state;
    case 'exposure':
      return state.phase === 'step' && step?.id === event.step && state.heldOpen === 'exposure'
        ? { ...state, exposure: { at: event.at, seconds: event.seconds } }
        : state;
    case 'turning':
      if (step?.id !== event.step || step.look?.asks !== 'turning') return state;
      if (state.phase === 'look') return answerAboutTurning(plan, state, step, event.effort);
      return waitingFor(state) === 'turning' ? { ...state, turning: [event.effort] } : state;
    case 'stop':
      return state.phase === 'close' ? state : close(state);
    default:
      return event satisfies never;
  }
}

/**
 * Where a cleaning stands after these events. An event that does not fit where one stands changes nothing, so
 * a tap that arrives twice is harmless.
 */
export const benchState = (plan: CleaningPlan, events: readonly BenchEvent[]): BenchState =>
  events.reduce((state, event) => applyEvent(plan, state, event), START);

/** How it ended for every surface of the plan; one without an outcome was not reached. */
export function outcomesOf(plan: CleaningPlan, events: readonly BenchEvent[]): Partial<Record<Surface, Outcome>> {
  const { outcomes } = benchState(plan, events);
  return Object.fromEntries([...new Set(plan.steps.map((s) => s.surface))].map((s) => [s, outcomes[s] ?? 'not-reached']));
}
