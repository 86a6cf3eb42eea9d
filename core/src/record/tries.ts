import {
  asksNow,
  type BenchEvent,
  type BenchState,
  benchWalk,
  type CleaningPlan,
  type Finding,
  METHODS,
  type Step,
  surfaceFacts,
} from '../care/index.js';
import type { Family, Method, Soil } from '../care/knowledge/index.js';
import type { Odds, Tries } from './odds.js';

/** A rung against a soil on a family of surfaces. */
export type RungOnSoil = { method: Method; soil: Soil; family: Family };
/** How often it did it at this bench. */
export type RungRecord = RungOnSoil & Tries;

/** What is read of a bench that is over. */
export type BenchOver = { plan: CleaningPlan; findings: readonly Finding[]; events: readonly BenchEvent[] };

/** Whether each step did it, by its last answer: one that asks whether grains are left, or how hard it turns, says nothing of a mark. */
function didIt({ plan, events }: BenchOver): Map<string, boolean> {
  const did = new Map<string, boolean>();
  const note = (step: Step | undefined, before: BenchState, isClean: boolean) => {
    if (step?.look && asksNow(before, step) === 'clean') did.set(step.id, isClean);
  };
  for (const { before, event } of benchWalk(plan, events)) {
    if (event.type === 'answer') {
      const step = plan.steps.find((s) => s.id === event.step);
      note(step, before, event.answer === 'clean-enough');
    }
    // After a round of air: what was not answered by then came off.
    if (event.type === 'rest-clean')
      for (const step of before.round?.steps ?? []) if (before.round!.answers[step.surface] === undefined) note(step, before, true);
  }
  return did;
}

/** Each step that was answered: whether it did it, and against which soils that were found. */
export function answeredSteps(bench: BenchOver): { step: Step; on: { soil: Soil; family: Family }[]; did: boolean }[] {
  const answered = didIt(bench);
  return bench.plan.steps.flatMap((step) => {
    const did = answered.get(step.id);
    if (did === undefined) return [];
    const soils = step.removes.filter((soil) => bench.findings.some((f) => f.surface === step.surface && f.soil === soil));
    return [{ step, on: soils.map((soil) => ({ soil, family: surfaceFacts(step.surface).family })), did }];
  });
}

/**
 * What each rung came to at a bench: it did it where the last answer to it was "clean enough", and did not where that was
 * anything else. A rung without an answer says nothing; several soils of one surface share what was answered.
 */
export function triesOf(bench: BenchOver): (RungOnSoil & { did: boolean })[] {
  return answeredSteps(bench).flatMap(({ step: { method }, on, did }) => on.map((lies) => ({ method, ...lies, did })));
}

const keyOf = ({ method, soil, family }: RungOnSoil): string => `${method}/${soil}/${family}`;

/** What all benches together say of each rung: in no order but that in which they first came. */
export function recordOf(benches: readonly BenchOver[]): RungRecord[] {
  const records = new Map<string, RungRecord>();
  for (const { did, ...rung } of benches.flatMap(triesOf)) {
    const there = records.get(keyOf(rung)) ?? { ...rung, successes: 0, failures: 0 };
    records.set(keyOf(rung), { ...there, successes: there.successes + Number(did), failures: there.failures + Number(!did) });
  }
  return [...records.values()];
}

/** How often a rung of this level does it, before anything is known (our choice): air seldom does, a wipe with fluid mostly. */
const USUAL_BY_LEVEL: Readonly<Record<number, number>> = { 1: 0.4, 2: 0.45, 3: 0.5, 4: 0.65, 5: 0.7 };
const USUAL = 0.5;
export const usualOf = (method: Method): number => USUAL_BY_LEVEL[METHODS[method].level] ?? USUAL;

/** What is known of a rung from its tries. */
export type KnownOdds = RungRecord & Odds;
/** How likely a rung is to do it on a surface, and from how many tries: none where it is only what is usual. */
export type RungAhead = Tries & { mean: number; range: Pick<Odds, 'low' | 'high'> | null };

/** The odds of a rung against all that was found on a surface: as good as against the hardest of it. */
export function rungAhead(rung: { method: Method; soils: readonly Soil[]; family: Family }, known: readonly KnownOdds[]): RungAhead {
  const usual: RungAhead = { successes: 0, failures: 0, mean: usualOf(rung.method), range: null };
  const each = rung.soils.map((soil): RungAhead => {
    const own = known.find((k) => keyOf(k) === keyOf({ ...rung, soil }));
    return own ? { successes: own.successes, failures: own.failures, mean: own.mean, range: { low: own.low, high: own.high } } : usual;
  });
  return each.reduce((hardest, one) => (one.mean < hardest.mean ? one : hardest), each[0] ?? usual);
}
