import type { Material, Tool } from './knowledge/materials.js';
import { isOptical, type Surface } from './knowledge/surfaces.js';
import { exposureAt, type Exposure, type HeldOpen } from '../sensor/exposure.js';
import { EFFORTS, type CleaningPlan, type Effort, type Look, type Step } from './types.js';

/** The three answers after each look. On a look that asks for grains they mean: none left, fewer, still there. */
export const ANSWERS = ['clean-enough', 'better', 'no-change'] as const;
export type Answer = (typeof ANSWERS)[number];

/**
 * What a mark that outlasted every rung turns out to be: a film that moves under the wipe, something that stays put
 * while the glass in front of it turns, damage that catches the light the same after every rung, or none of them plainly.
 */
export const READINGS = ['film', 'deeper', 'damage', 'unsure'] as const;
export type Reading = (typeof READINGS)[number];

/** What the person at the bench does. The list of these is the whole memory of a cleaning: undo drops the last. */
export type BenchEvent =
  | { type: 'ready' }
  /** `at` is when it was said, where an exposure runs: out has to be said before the shutter closes. */
  | { type: 'done'; step: string; at?: string }
  /** It was said too late: was anything inside when the shutter closed? */
  | { type: 'late'; step: string; inside: boolean }
  /** Another one of the drawer is taken in hand instead of the planned one. */
  | { type: 'take'; step: string; id: Tool | Material; thingId: string }
  | { type: 'reading'; surface: Surface; reading: Reading }
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
 * How it ended for a surface: clean enough; stopped because grains or crystals were left; all rungs climbed, and
 * then read as a film that wants another fluid, as lying deeper, as damage, or as none of them; the shutter closed
 * on a swab; left on purpose; or not reached.
 */
export type Outcome =
  | 'clean-enough'
  | 'stopped-by-grit'
  | 'stopped-by-salt'
  | 'film-left'
  | 'lies-deeper'
  | 'is-damage'
  | 'did-not-come-off'
  | 'shutter-closed-on-it'
  | 'left'
  | 'not-reached';

const OUTCOME_OF: Record<Reading, Outcome> = {
  film: 'film-left',
  deeper: 'lies-deeper',
  damage: 'is-damage',
  unsure: 'did-not-come-off',
};

export type BenchState = {
  phase: 'prepare' | 'step' | 'look' | 'late' | 'reading' | 'close';
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
  /** Gates that are behind one: `surface/grains` once no grain was left there, `surface/crystals` likewise. */
  cleared: string[];
  /** What was taken instead of the planned thing, by step and by what it is. */
  taken: Record<string, Partial<Record<Tool | Material, string>>>;
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
  cleared: [],
  taken: {},
};
/** Each try asks for the power and an exposure of its own. */
const NOT_READY = { heldOpen: null, exposure: null } as const;

const close = (state: BenchState): BenchState => ({ ...state, ...NOT_READY, phase: 'close', step: null, attempt: 1 });
const standOn = (state: BenchState, step: Step | undefined): BenchState =>
  step ? { ...state, ...NOT_READY, phase: 'step', step, attempt: 1 } : close(state);

const after = (plan: CleaningPlan, step: Step): Step[] => plan.steps.slice(plan.steps.findIndex((s) => s.id === step.id) + 1);
const nextSurface = (plan: CleaningPlan, step: Step) => after(plan, step).find((s) => s.surface !== step.surface);
/** The air that must follow a brush, whatever the look said. */
const completionOf = (plan: CleaningPlan, step: Step) => plan.steps.find((s) => s.completes === step.id);

function endSurface(plan: CleaningPlan, state: BenchState, step: Step, outcome: Outcome): BenchState {
  const ended = { ...state, outcomes: { ...state.outcomes, [step.surface]: outcome } };
  const completion = completionOf(plan, step);
  return standOn(ended, completion ?? nextSurface(plan, step));
}

/** Nothing but grains is taken by it, and they are gone; air that completes a brush is done all the same. */
const isPassed = (state: BenchState, step: Step, last: Step): boolean =>
  state.cleared.includes(`${step.surface}/grains`) &&
  step.removes.length > 0 &&
  step.removes.every((soil) => soil === 'grit') &&
  step.completes !== last.id;

/**
 * The next rung, or the end of the ladder. What outlasted every rung on something one looks through is read first:
 * a film, something deeper, or damage; elsewhere it has simply not come off.
 */
function climb(plan: CleaningPlan, state: BenchState, step: Step): BenchState {
  const gate = step.onNoChange === 'stop' ? asksNow(state, step) : null;
  if (gate === 'grains') return endSurface(plan, state, step, 'stopped-by-grit');
  if (gate === 'crystals') return endSurface(plan, state, step, 'stopped-by-salt');
  const next = after(plan, step).find((s) => s.surface === step.surface && !isPassed(state, s, step));
  if (next) return standOn(state, next);
  return isOptical(step.surface) ? { ...state, phase: 'reading' } : endSurface(plan, state, step, 'did-not-come-off');
}

const again = (state: BenchState): BenchState => ({ ...state, ...NOT_READY, phase: 'step', attempt: state.attempt + 1 });

/** What the look asks now: once a gate is behind one, only how clean it is. */
export function asksNow({ cleared }: Pick<BenchState, 'cleared'>, step: Step): Look['asks'] {
  const asks = step.look?.asks ?? 'clean';
  return cleared.includes(`${step.surface}/${asks}`) ? 'clean' : asks;
}

/**
 * "None left" opens the way: where something else lies there too, the same look goes on to ask how clean it is;
 * where grains or salt were all there was, the surface is done.
 */
function answerAboutGate(plan: CleaningPlan, state: BenchState, step: Step, answer: Answer, gate: 'grains' | 'crystals'): BenchState {
  if (answer === 'better' && state.attempt < step.tries) return again(state);
  if (answer !== 'clean-enough') return climb(plan, state, step);
  const cleared = { ...state, cleared: [...state.cleared, `${step.surface}/${gate}`] };
  const gateSoil = gate === 'grains' ? 'grit' : 'salt';
  const more = plan.steps.some((s) => s.surface === step.surface && s.removes.some((soil) => soil !== gateSoil));
  return more ? cleared : endSurface(plan, cleared, step, 'clean-enough');
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
  // Air that only completes a brush on a surface already settled needs no second verdict.
  if (step.completes && state.outcomes[step.surface] !== undefined) return standOn(done, nextSurface(plan, step));
  return step.look ? { ...done, phase: 'look' } : climb(plan, done, step);
}

/** Said after the shutter had closed by itself. */
const isLate = ({ exposure }: BenchState, at: string | undefined): boolean =>
  exposure !== null && at !== undefined && exposureAt(exposure, at).phase === 'closed';

function applyEvent(plan: CleaningPlan, state: BenchState, event: BenchEvent): BenchState {
  const { step } = state;
  switch (event.type) {
    case 'ready':
      return state.phase === 'prepare' ? standOn(state, plan.steps[0]) : state;
    case 'done':
      if (state.phase !== 'step' || step?.id !== event.step || waitingFor(state)) return state;
      return isLate(state, event.at) ? { ...state, phase: 'late' } : finishStep(plan, state, step);
    case 'late':
      if (state.phase !== 'late' || step?.id !== event.step) return state;
      return event.inside ? endSurface(plan, state, step, 'shutter-closed-on-it') : finishStep(plan, { ...state, phase: 'step' }, step);
    case 'take':
      return state.phase === 'step' && step?.id === event.step
        ? { ...state, taken: { ...state.taken, [event.step]: { ...state.taken[event.step], [event.id]: event.thingId } } }
        : state;
    case 'reading':
      return state.phase === 'reading' && step?.surface === event.surface
        ? endSurface(plan, state, step, OUTCOME_OF[event.reading])
        : state;
    case 'answer': {
      if (state.phase !== 'look' || step?.id !== event.step || step.look?.asks === 'turning') return state;
      const asks = asksNow(state, step);
      return asks === 'grains' || asks === 'crystals'
        ? answerAboutGate(plan, state, step, event.answer, asks)
        : answerAboutCleanness(plan, state, step, event.answer);
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
