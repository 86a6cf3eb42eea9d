import { planDocument, planRequest, saveEvents, schoolsSchema, stages } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { defineDocument } from '../db/index.js';
import { planFromV1, type PlanV1 } from './planFromV1.js';

/** A plan as it is kept: what a method rests on is told by its table, not by each step. */
export type KeptPlan = Omit<care.CleaningPlan, 'steps'> & { steps: Omit<care.Step, 'basis'>[] };

/** Before version 3 nothing was renewed, and nobody asked by what a surface is judged. */
const planFromV2 = (data: unknown) => {
  const plan = data as Omit<KeptPlan, 'replace'>;
  return { ...plan, replace: [], summary: { ...plan.summary, measures: [] } };
};

export const PLAN_DOCUMENT = defineDocument<care.CleaningPlan>({
  name: 'cleaning.plan',
  version: 3,
  schema: planDocument,
  upgrades: { 1: (data) => planFromV1(data as PlanV1), 2: planFromV2 },
  lay: ({ steps, ...plan }): KeptPlan => ({ ...plan, steps: steps.map(({ basis: _, ...step }) => step) }),
  makeWhole: ({ steps, ...plan }: KeptPlan) => ({ ...plan, steps: steps.map((s) => ({ ...s, basis: care.methodFacts(s.method).basis })) }),
});

export const REQUEST_DOCUMENT = defineDocument<care.PlanRequest>({
  name: 'cleaning.request',
  version: 1,
  schema: planRequest,
  upgrades: {},
});
export const EVENTS_DOCUMENT = defineDocument<care.BenchEvent[]>({
  name: 'cleaning.events',
  version: 1,
  schema: saveEvents.extract('events'),
  upgrades: {},
});
export const CHOSEN_SCHOOLS_DOCUMENT = defineDocument<Partial<care.Schools>>({
  name: 'cleaning.chosen_schools',
  version: 1,
  schema: schoolsSchema,
  upgrades: {},
});
export const STAGES_DOCUMENT = defineDocument<care.TeardownStage[]>({ name: 'teardown.stages', version: 1, schema: stages, upgrades: {} });
