import type { CleaningPlan } from './types.js';

/** A state of the whole thing before which everything waits. */
export type WetState = 'fogged' | 'wet';

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
