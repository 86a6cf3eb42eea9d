import type { care, record } from '@bright-keeper/core';

/** A cleaning at the bench: the plan it follows and everything done so far. */
export type Cleaning = {
  id: string;
  itemId: string;
  itemName: string;
  version: number;
  request: care.PlanRequest;
  plan: care.CleaningPlan;
  events: care.BenchEvent[];
  startedAt: string;
  finishedAt: string | null;
  /** What has changed since the plan was made, so that another one would come out; empty while it fits. */
  staleBecause: care.StaleBecause[];
};
export type Cleanings = { cleanings: Cleaning[] };
/** What each bench that is over took of what is used up. */
export type BenchUses = { uses: record.BenchTook[] };
/** Every rung that was tried at this bench, with what came of it; and schools compared in one's own hands. */
export type RungsAtTheBench = { rungs: record.KnownOdds[]; schools: record.SchoolInHand[] };
