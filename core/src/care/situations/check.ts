import { benchState, outcomesOf, READINGS, type BenchEvent, type Reading } from '../bench.js';
import { inStockUnits } from '../knowledge/amounts.js';
import type { Material } from '../knowledge/materials.js';
import type { Surface } from '../knowledge/surfaces.js';
import { planCleaning } from '../planCleaning.js';
import { EFFORTS, type CleaningPlan, type Context, type Effort, type PlanRequest } from '../types.js';
import type { AtTheBench, Claims, Situation } from './situation.js';

/** The request a situation is. */
export const requestOf = ({ thing, found, place, conditions, schools, drawer }: Situation): PlanRequest => ({
  item: thing,
  findings: [...found],
  place,
  sensorRehearsed: true,
  ...(conditions ? { conditions } : {}),
  ...(schools ? { schools } : {}),
  ...(drawer ? { onHand: [...drawer] } : {}),
});

/** Everything one reads in a plan, in one text: the sentences are made outside of the core. */
export type Read = (plan: CleaningPlan) => string;

const starts = <T>(all: readonly T[], first: readonly T[]): boolean => first.every((one, i) => all[i] === one);
const same = <T>(a: readonly T[], b: readonly T[]): boolean => a.length === b.length && starts(a, b);
const lacking = <T>(all: readonly T[], wanted: readonly T[] = []): T[] => wanted.filter((w) => !all.includes(w));

/** How each claim is held against a plan: what is wrong, or nothing. */
const HOLDS: { [C in keyof Required<Claims>]: (claim: NonNullable<Claims[C]>, plan: CleaningPlan, read: Read) => string[] } = {
  steps: (claim, plan) => bySurface(claim, plan, same, 'are'),
  begins: (claim, plan) => bySurface(claim, plan, starts, 'begin with'),
  does: (claim, plan) => bySurface(claim, plan, (all, wanted) => lacking(all, wanted).length === 0, 'hold'),
  never: (claim, { steps }) => {
    const all: string[] = steps.flatMap((s) => [s.method, ...s.takes.map((t) => t.id)]);
    return claim.filter((c) => all.includes(c)).map((c) => `${c} must never come`);
  },
  uses: (claim, { steps }) =>
    lacking(
      steps.flatMap((s) => s.takes.map((t) => t.id)),
      claim,
    ).map((u) => `${u} must be taken`),
  order: (claim, { steps }) => {
    const worked = [...new Set(steps.map((s) => s.surface))].filter((s) => claim.includes(s));
    return same(worked, claim) ? [] : [`worked ${worked.join(', ')} instead of ${claim.join(', ')}`];
  },
  noSteps: (_, { steps }) => (steps.length === 0 ? [] : [`nothing must be done, not ${steps.map((s) => s.id).join(', ')}`]),
  refuses: (claim, { refused }) =>
    lacking(
      refused.map((r) => r.rule),
      claim,
    ).map((r) => `rule ${r} must speak`),
  waits: (claim, { deferred }) =>
    lacking(
      deferred.map((d) => d.surface),
      claim,
    ).map((s) => `${s} must wait for home`),
  leaves: (claim, { leaveAlone }) =>
    lacking(
      leaveAlone.map((l) => l.surface),
      claim,
    ).map((s) => `${s} must be left`),
  handsOver: (claim, { handOver }) =>
    lacking(
      handOver.map((h) => h.surface),
      claim,
    ).map((s) => `${s} must be handed over`),
  renews: (claim, { replace }) =>
    lacking(
      replace.map((r) => r.surface),
      claim,
    ).map((s) => `${s} must be renewed`),
  comesTo: (claim, { summary }) => (summary.says === claim ? [] : [`it must come to ${claim}, not ${summary.says}`]),
  keepsAtHome: (_, { handOver }) => handOver.map((h) => `${h.surface} is no case for a workshop`),
  offers: (claim, { openings }) =>
    lacking(
      openings.map((o) => o.method),
      claim,
    ).map((m) => `${m} must be offered`),
  isolates: (claim, { isolate }) => ((isolate !== null) === claim ? [] : [claim ? 'it must be isolated' : 'it must not be isolated']),
  missing: (claim, { missing }) =>
    lacking(
      missing.flatMap((m) => [m.tool, m.material]),
      claim,
    ).map((m) => `${m} must be missed`),
  cautions: (claim, { cautions }) =>
    lacking(
      cautions.map((c) => c.hazard),
      claim,
    ).map((h) => `caution ${h} must be read`),
  alsoLook: (claim, { alsoLook }) =>
    lacking(
      alsoLook.map((l) => l.surface),
      claim,
    ).map((s) => `${s} must be mentioned`),
  amounts: (claim, { steps }) =>
    (Object.entries(claim) as [Material, number][]).flatMap(([material, wanted]) => {
      const uses = steps.flatMap((s) => s.uses).filter((u) => u.material === material);
      const got = uses.reduce((sum, u) => sum + inStockUnits(u.amount), 0);
      return got === wanted ? [] : [`${wanted} of ${material}, not ${got}`];
    }),
  says: (claim, plan, read) => claim.filter((w) => !read(plan).toLowerCase().includes(w.toLowerCase())).map((w) => `“${w}” must be read`),
  neverSays: (claim, plan, read) =>
    claim.filter((w) => read(plan).toLowerCase().includes(w.toLowerCase())).map((w) => `“${w}” must not be read`),
};

function bySurface(
  claim: Partial<Record<Surface, readonly string[]>>,
  { steps }: CleaningPlan,
  holds: (all: readonly string[], wanted: readonly string[]) => boolean,
  verb: string,
): string[] {
  return Object.entries(claim).flatMap(([surface, wanted]) => {
    const methods: string[] = steps.filter((s) => s.surface === surface).map((s) => s.method);
    return holds(methods, wanted) ? [] : [`the steps on ${surface} must ${verb} ${wanted.join(', ')}, not ${methods.join(', ') || 'none'}`];
  });
}

const eventFor = (tap: string, step: CleaningPlan['steps'][number]): BenchEvent => {
  if ((EFFORTS as readonly string[]).includes(tap)) return { type: 'turning', step: step.id, effort: tap as Effort };
  if ((READINGS as readonly string[]).includes(tap)) return { type: 'reading', surface: step.surface, reading: tap as Reading };
  return { type: 'answer', step: step.id, answer: tap as 'clean-enough' };
};

/** The taps played through: each step done as it comes, each question answered in turn; and the taps nothing asked for. */
function play(plan: CleaningPlan, taps: readonly string[]): { events: BenchEvent[]; idle: string[] } {
  const events: BenchEvent[] = [{ type: 'ready' }];
  const left = [...taps];
  const idle: string[] = [];
  for (;;) {
    const state = benchState(plan, events);
    const { phase, step } = state;
    if (!step || phase === 'close') return { events, idle: [...idle, ...left] };
    const asksFirst = step.look?.asks === 'turning' && state.turning.length === 0;
    if (step.sensor && !state.heldOpen) events.push({ type: 'power-checked', step: step.id, heldOpen: 'cleaning-mode' });
    else if (phase === 'round' || (phase === 'step' && !asksFirst)) events.push({ type: 'done', step: step.id });
    else if (left.length === 0) return { events, idle };
    else {
      const tap = left.shift()!;
      const answered = [...events, eventFor(tap, step)];
      if (JSON.stringify(benchState(plan, answered)) === JSON.stringify(state)) idle.push(tap);
      else events.push(answered.at(-1)!);
    }
  }
}

function benchFaults(plan: CleaningPlan, { taps, ends, touches, standsOn }: AtTheBench): string[] {
  const { events, idle } = play(plan, taps);
  const outcomes = outcomesOf(plan, events);
  const state = benchState(plan, events);
  const faults = Object.entries(ends)
    .filter(([surface, outcome]) => outcomes[surface as Surface] !== outcome)
    .map(([surface, outcome]) => `at the bench ${surface} must end ${outcome}, not ${outcomes[surface as Surface]}`);
  const touched = Object.values(state.contacts).reduce((a, b) => a + b, 0);
  if (touches !== undefined && touched !== touches) faults.push(`at the bench ${touches} touches, not ${touched}`);
  if (standsOn && state.step?.method !== standsOn)
    faults.push(`at the bench one must stand on ${standsOn}, not ${state.step?.method ?? 'the end'}`);
  return [...faults, ...idle.map((tap) => `at the bench nothing asks for the tap ${tap}`)];
}

/**
 * What is wrong with the answer to a situation, in words; empty when every claim holds. `rules` are all of them, but
 * for a check that leaves one out.
 */
export function checkSituation(situation: Situation, read: Read, rules?: Context['rules']): string[] {
  const plan = planCleaning(requestOf(situation), rules);
  const claims = Object.entries(situation.must) as [keyof Claims, never][];
  const faults = claims.flatMap(([name, claim]) =>
    (HOLDS[name] as (claim: never, plan: CleaningPlan, read: Read) => string[])(claim, plan, read),
  );
  return situation.bench ? [...faults, ...benchFaults(plan, situation.bench)] : faults;
}
