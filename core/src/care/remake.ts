import { benchState, type BenchEvent } from './bench.js';
import { canonical } from './canonical.js';
import { planCleaning } from './planCleaning.js';
import { roundsOf } from './rounds.js';
import type { CleaningPlan, PlanRequest, Step } from './types.js';

/** Which of the things a plan was made from have changed since, so that another plan would come out. */
export type StaleBecause = 'drawer' | 'schools';

const differs = (a: unknown, b: unknown): boolean => canonical(a) !== canonical(b);

/** What one does and with what; the texts around it do not make a plan stale. */
const essence = (plan: CleaningPlan) =>
  plan.steps.map(({ id, tool, uses, motion, fluidGoes, sensor }) => ({ id, tool, uses, motion, fluidGoes, sensor }));

/** A surface's rungs up to the last one that was done stay; what was still ahead of it comes from the new plan. */
function mergedSurface(own: readonly Step[], fresh: readonly Step[], done: readonly string[]): Step[] {
  const kept = own.slice(0, own.findLastIndex((s) => done.includes(s.id)) + 1);
  const last = kept.at(-1)!;
  const isAhead = (s: Step) => s.pass > last.pass || (s.pass === last.pass && s.level >= last.level);
  return [...kept, ...fresh.filter((s) => isAhead(s) && !kept.some((k) => k.id === s.id))];
}

/**
 * The plan as it would be made now, keeping every step that was done, so that the same events lead to the same
 * place with new rungs ahead. Surfaces that are finished keep their steps; one that is begun takes the new rungs
 * from where one stands; the rest is the new plan's.
 */
export function remakePlan(plan: CleaningPlan, events: readonly BenchEvent[], now: PlanRequest): CleaningPlan {
  const fresh = planCleaning(now);
  const { done, outcomes, step } = benchState(plan, events);
  const surfaces = [...new Set(plan.steps.map((s) => s.surface))];
  const settled = surfaces.filter((s) => outcomes[s] !== undefined || plan.steps.some((t) => t.surface === s && done.includes(t.id)));
  const kept = settled.flatMap((surface) => {
    const own = plan.steps.filter((s) => s.surface === surface);
    const ended = outcomes[surface] !== undefined && step?.surface !== surface;
    return ended || !own.some((s) => done.includes(s.id))
      ? own
      : mergedSurface(
          own,
          fresh.steps.filter((s) => s.surface === surface),
          done,
        );
  });
  const steps = [...kept, ...fresh.steps.filter((s) => !settled.includes(s.surface))];
  // A round that was done is remembered by its steps, so it stays; new ones are only made of what was not begun.
  const own = plan.rounds.filter((ids) => ids.some((id) => done.includes(id)));
  const ahead = roundsOf(steps.filter((s) => !settled.includes(s.surface)));
  return { ...fresh, steps, rounds: [...own, ...ahead] };
}

/** Why a plan would be another one if it were remade; empty while it would not. What was done already never makes it stale. */
export function staleBecause(plan: CleaningPlan, events: readonly BenchEvent[], before: PlanRequest, now: PlanRequest): StaleBecause[] {
  const remade = (request: PlanRequest) => essence(remakePlan(plan, events, request));
  const { onHand: _, ...rest } = before;
  const newDrawer: PlanRequest = { ...rest, ...(now.onHand ? { onHand: now.onHand } : {}) };
  const causes: StaleBecause[] = [];
  if (differs(remade(newDrawer), essence(plan))) causes.push('drawer');
  if (differs(before.schools, now.schools) && differs(remade({ ...newDrawer, schools: now.schools ?? {} }), remade(newDrawer)))
    causes.push('schools');
  return causes;
}
