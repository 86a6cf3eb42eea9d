import type { Drawer, ItemPage } from '@bright-keeper/contract';
import { care, schedule, supplies } from '@bright-keeper/core';
import { conditionsFrom, kitFrom, placeFrom, schoolsFrom } from './planChoices';

/** What a plan is made of beside the address: the thing, the keeper's schools and drawer. */
export type PlanOf = { item: ItemPage; mySchools: care.Schools; drawer: Drawer; sensorRehearsed: boolean };

/** The request that the address and the household make together. */
export function requestFrom(params: URLSearchParams, { item, mySchools, drawer, sensorRehearsed }: PlanOf): care.PlanRequest {
  const place = placeFrom(params);
  return {
    item: { kind: item.kind, traits: item.traits },
    findings: schedule.withNoted(
      item.surfaces.flatMap((s) => s.findings.map((f) => ({ ...f, surface: s.surface }))),
      item.noted,
    ),
    place,
    conditions: conditionsFrom(params),
    schools: schoolsFrom(params, mySchools),
    ...supplies.onHandAt(drawer, place, kitFrom(params, drawer)),
    sensorRehearsed,
  };
}

/** The plan there would be for so many specks on the sensor that show, at home and with nothing else to do. */
export const planOfSpecks = (of: PlanOf, shows: number): care.CleaningPlan =>
  care.planCleaning({ ...requestFrom(new URLSearchParams(), of), findings: care.specksFound(shows) });

/** The surfaces a plan has something to say of, in working order. */
export const surfacesOf = (plan: care.CleaningPlan): care.Surface[] =>
  care.inWorkingOrder([...new Set([...plan.steps, ...plan.refused, ...plan.handOver, ...plan.openings].map((s) => s.surface))]);

/** The surface that is shown: the one asked for, else the first that is worked on. */
export function selectedIn(plan: care.CleaningPlan, surfaces: readonly care.Surface[], asked: string | null): care.Surface | null {
  const wanted = surfaces.find((s) => s === asked);
  return wanted ?? surfaces.find((s) => plan.steps.some((t) => t.surface === s)) ?? surfaces[0] ?? null;
}

/** Cold and damp are asked for only where a fluid would be used out there, or is held back by them. */
export const airDecides = (plan: care.CleaningPlan, place: care.Place): boolean =>
  place === 'field' &&
  (plan.steps.some((s) => s.fluidGoes || s.method === 'wet-wipe') || plan.refused.some((r) => r.rule === 'no-fluid-in-frost-or-dew'));
