import { liesOn, natureOf } from './soils/index.js';
import type { CleaningPlan, Finding } from './types.js';

/** A state of the whole thing before which everything waits. */
export type WetState = 'fogged' | 'wet';

/**
 * Fog and water that got in are states of the whole thing: everything else waits for them. A fogged finder alone is no
 * such state; it is dried with a swab.
 */
export function wetStateOf(findings: readonly Finding[]): WetState | null {
  const wet = findings.filter((f) => f.severity > 0 && !liesOn(f.soil, f.surface)?.takes);
  if (wet.some((f) => natureOf(f.soil) === 'flooded')) return 'wet';
  return wet.some((f) => natureOf(f.soil) === 'passing') ? 'fogged' : null;
}

export type SurfacePlan = Pick<
  CleaningPlan,
  'steps' | 'refused' | 'leaveAlone' | 'deferred' | 'handOver' | 'replace' | 'missing' | 'isolate' | 'openings' | 'alsoLook' | 'worthIt'
>;

/** Nothing to do, and nothing to say. */
export const empty = (): SurfacePlan => ({
  steps: [],
  refused: [],
  leaveAlone: [],
  deferred: [],
  handOver: [],
  replace: [],
  missing: [],
  isolate: null,
  openings: [],
  alsoLook: [],
  worthIt: [],
});
