import type { Material, Tool } from './knowledge/materials.js';
import { isOptical, type Surface } from './knowledge/surfaces.js';
import { type Exposure, exposureAt, type HeldOpen } from '../sensor/index.js';
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
  /** After a round of air: everything that was not answered yet is clean enough. */
  | { type: 'rest-clean'; step: string }
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
  phase: 'prepare' | 'round' | 'round-look' | 'step' | 'look' | 'late' | 'reading' | 'close';
  /** The step one stands on, in a round its first; null before the first and after the last. */
  step: Step | null;
  /** The air of this round, and of those looked at already, what was answered. */
  round: { steps: readonly Step[]; answers: Partial<Record<Surface, Answer>> } | null;
  /** Blown in a round and not clean by it: their turn begins with the next rung. */
  aired: readonly Surface[];
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
  round: null,
  aired: [],
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

const close = (state: BenchState): BenchState => ({ ...state, ...NOT_READY, phase: 'close', step: null, round: null, attempt: 1 });
const standOn = (state: BenchState, step: Step): BenchState => ({ ...state, ...NOT_READY, phase: 'step', step, round: null, attempt: 1 });

const after = (plan: CleaningPlan, step: Step): Step[] => plan.steps.slice(plan.steps.findIndex((s) => s.id === step.id) + 1);
/** The air that must follow a brush, whatever the look said. */
const completionOf = (plan: CleaningPlan, step: Step) => plan.steps.find((s) => s.completes === step.id);

/** The round that begins with this step: those of its surfaces that nothing is known of yet. */
function roundFrom(plan: CleaningPlan, { outcomes, aired }: BenchState, step: Step): Step[] {
  const ids = plan.rounds.find((r) => r.includes(step.id)) ?? [];
  const steps = ids.flatMap((id) => plan.steps.find((s) => s.id === id) ?? []);
  return steps.filter((s) => outcomes[s.surface] === undefined && !aired.includes(s.surface));
}

const inRound = (state: BenchState, steps: readonly Step[], attempt: number): BenchState => ({
  ...state,
  ...NOT_READY,
  phase: 'round',
  step: steps[0]!,
  round: { steps, answers: {} },
  attempt,
});

/** A surface's turn: its round of air, the rung above the air it had, or its first step. */
function begin(plan: CleaningPlan, state: BenchState, step: Step | undefined): BenchState {
  if (!step) return close(state);
  if (state.aired.includes(step.surface)) return climb(plan, state, step);
  const round = roundFrom(plan, state, step);
  return round.length > 1 ? inRound(state, round, 1) : standOn(state, step);
}

/** The first step of the next surface that has not ended. */
const nextSurface = (plan: CleaningPlan, { outcomes }: BenchState, step: Step): Step | undefined =>
  after(plan, step).find((s) => s.surface !== step.surface && outcomes[s.surface] === undefined);

function endSurface(plan: CleaningPlan, state: BenchState, step: Step, outcome: Outcome): BenchState {
  const ended = { ...state, outcomes: { ...state.outcomes, [step.surface]: outcome } };
  const completion = completionOf(plan, step);
  return completion ? standOn(ended, completion) : begin(plan, ended, nextSurface(plan, ended, step));
}

/** Every surface of the round was blown; what air cannot take has nothing to be looked for. */
function finishRound(plan: CleaningPlan, state: BenchState): BenchState {
  const { steps } = state.round!;
  const done = { ...state, done: [...state.done, ...steps.map((s) => s.id)] };
  const looked = steps.filter((s) => s.look);
  return looked.length > 0 ? { ...done, phase: 'round-look', step: looked[0]! } : leaveRound(plan, done);
}

/** What is better is blown once more, all in one go; what is clean ends; the rest climbs, each in its turn. */
function leaveRound(plan: CleaningPlan, state: BenchState): BenchState {
  const { steps, answers } = state.round!;
  const better = steps.filter((s) => answers[s.surface] === 'better' && state.attempt < s.tries);
  const clean = steps.filter((s) => answers[s.surface] === 'clean-enough');
  const ended = {
    ...state,
    outcomes: { ...state.outcomes, ...Object.fromEntries(clean.map((s) => [s.surface, 'clean-enough' as const])) },
  };
  const rest = steps.filter((s) => ended.outcomes[s.surface] === undefined && !better.includes(s));
  const climbing = { ...ended, aired: [...ended.aired, ...rest.map((s) => s.surface)] };
  if (better.length > 0) return inRound(climbing, better, state.attempt + 1);
  const first = plan.steps.find((s) => climbing.outcomes[s.surface] === undefined);
  return begin(plan, { ...climbing, round: null, attempt: 1 }, first);
}

/** One surface of the round was looked at; when all are, the round is left. */
function answerInRound(plan: CleaningPlan, state: BenchState, answers: Partial<Record<Surface, Answer>>): BenchState {
  const { steps } = state.round!;
  const told = { ...state, round: { steps, answers: { ...state.round!.answers, ...answers } } };
  const open = steps.filter((s) => s.look && told.round.answers[s.surface] === undefined && told.outcomes[s.surface] === undefined);
  return open.length > 0 ? { ...told, step: open[0]! } : leaveRound(plan, told);
}

/** One surface is taken out of the round before it was answered. */
function leaveInRound(plan: CleaningPlan, state: BenchState, surface: Surface): BenchState {
  const { steps, answers } = state.round!;
  if (!steps.some((s) => s.surface === surface) || answers[surface] !== undefined) return state;
  const kept = steps.filter((s) => s.surface !== surface);
  const left = { ...state, outcomes: { ...state.outcomes, [surface]: 'left' as const }, round: { steps: kept, answers } };
  if (state.phase === 'round-look') return answerInRound(plan, left, {});
  return kept.length > 0 ? { ...left, step: kept[0]! } : leaveRound(plan, left);
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
  if (step.completes && state.outcomes[step.surface] !== undefined) return begin(plan, done, nextSurface(plan, done, step));
  return step.look ? { ...done, phase: 'look' } : climb(plan, done, step);
}

/** Said after the shutter had closed by itself. */
const isLate = ({ exposure }: BenchState, at: string | undefined): boolean =>
  exposure !== null && at !== undefined && exposureAt(exposure, at).phase === 'closed';

function applyEvent(plan: CleaningPlan, state: BenchState, event: BenchEvent): BenchState {
  const { step } = state;
  switch (event.type) {
    case 'ready':
      return state.phase === 'prepare' ? begin(plan, state, plan.steps[0]) : state;
    case 'done':
      if (state.phase === 'round' && step?.id === event.step) return finishRound(plan, state);
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
      if (state.phase === 'round-look') {
        const of = state.round!.steps.find((s) => s.id === event.step);
        return of && state.round!.answers[of.surface] === undefined ? answerInRound(plan, state, { [of.surface]: event.answer }) : state;
      }
      if (state.phase !== 'look' || step?.id !== event.step || step.look?.asks === 'turning') return state;
      const asks = asksNow(state, step);
      return asks === 'grains' || asks === 'crystals'
        ? answerAboutGate(plan, state, step, event.answer, asks)
        : answerAboutCleanness(plan, state, step, event.answer);
    }
    case 'rest-clean': {
      if (state.phase !== 'round-look' || step?.id !== event.step) return state;
      const { steps, answers } = state.round!;
      const open = steps.filter((s) => s.look && answers[s.surface] === undefined);
      return answerInRound(plan, state, Object.fromEntries(open.map((s) => [s.surface, 'clean-enough' as const])));
    }
    case 'leave-surface': {
      if (state.round) return leaveInRound(plan, state, event.surface);
      if (!step || step.surface !== event.surface) return state;
      const left = { ...state, outcomes: { ...state.outcomes, [step.surface]: 'left' as const } };
      return begin(plan, left, nextSurface(plan, left, step));
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

/** The events that fitted where one stood, each with where that was: what changed nothing was not done. */
export function benchWalk(plan: CleaningPlan, events: readonly BenchEvent[]): { before: BenchState; event: BenchEvent }[] {
  let state = START;
  return events.flatMap((event) => {
    const before = state;
    state = applyEvent(plan, before, event);
    return state === before ? [] : [{ before, event }];
  });
}

/** How it ended for every surface of the plan; one without an outcome was not reached. */
export function outcomesOf(plan: CleaningPlan, events: readonly BenchEvent[]): Partial<Record<Surface, Outcome>> {
  const { outcomes } = benchState(plan, events);
  return Object.fromEntries([...new Set(plan.steps.map((s) => s.surface))].map((s) => [s, outcomes[s] ?? 'not-reached']));
}
