import { kindFacts, surfacesOf, withDefaults } from './kinds/index.js';
import { inStockUnits, type Use } from './knowledge/amounts.js';
import { materialFacts, type Material } from './knowledge/materials.js';
import { methodFacts } from './knowledge/methods.js';
import { DEFAULT_SCHOOLS } from './knowledge/schools.js';
import { SOILS } from './soils/index.js';
import { measureOf, type Measure, type Surface } from './knowledge/surfaces.js';
import { closingFor, preparationFor } from './aroundTheWork.js';
import { knownPrice } from './onHand.js';
import { planSurface } from './planSurface.js';
import { roundsOf } from './rounds.js';
import { wetStateOf, type SurfacePlan } from './surfacePlan.js';
import { RULES } from './rules/index.js';
import { LOOK_MINUTES } from './steps.js';
import type { Caution, CleaningPlan, Context, Finding, Missing, PlanRequest, Step, Summary, WaitsUntil } from './types.js';
import { inWorkingOrder } from './workingOrder.js';

/** The request with every default filled in. */
export const contextOf = (request: Omit<PlanRequest, 'findings'>, rules: Context['rules'] = RULES): Context => ({
  kind: request.item.kind,
  traits: withDefaults(request.item.kind, request.item.traits),
  place: request.place,
  conditions: request.conditions ?? {},
  schools: { ...DEFAULT_SCHOOLS, ...request.schools },
  onHand: request.onHand ?? null,
  moreOnHand: request.moreOnHand ?? false,
  sensorRehearsed: request.sensorRehearsed ?? false,
  rules,
});

/** @throws RangeError when a finding names a surface this thing does not have, or a soil or severity nobody knows. */
function checkFindings(findings: readonly Finding[], { kind, traits }: Context): void {
  const own = surfacesOf(kind, traits);
  findings.forEach(({ surface, soil, severity }, i) => {
    if (!own.includes(surface))
      throw new RangeError(
        `findings[${i}].surface: a ${kindFacts(kind).name} with these traits has no ${surface}; take one of ${own.join(', ')}`,
      );
    if (!(soil in SOILS)) throw new RangeError(`findings[${i}].soil: ${soil} is not a known soil`);
    if (!([0, 1, 2, 3, 4] as number[]).includes(severity))
      throw new RangeError(`findings[${i}].severity: ${severity} is not one of 0 to 4`);
  });
}

/** Findings by surface; the same soil told twice counts once, at its worst. Nothing found is dropped. */
function bySurface(findings: readonly Finding[]): Map<Surface, Finding[]> {
  const map = new Map<Surface, Finding[]>();
  for (const finding of findings) {
    if (finding.severity === 0) continue;
    const here = map.get(finding.surface) ?? [];
    const twin = here.find((f) => f.soil === finding.soil);
    const merged = twin ? here.map((f) => (f === twin && f.severity < finding.severity ? finding : f)) : [...here, finding];
    map.set(finding.surface, merged);
  }
  // Soils in one order, so that the same findings told in another order give the same plan.
  for (const here of map.values()) here.sort((a, b) => a.soil.localeCompare(b.soil));
  return map;
}

/** The same thing, lacking for the same reason; what is kept for something else is told surface by surface. */
const sameLack = (a: Missing, b: Missing): boolean =>
  a.thing === b.thing &&
  a.reason === b.reason &&
  (a.reason === 'kept-for' ? a.surface : null) === (b.reason === 'kept-for' ? b.surface : null);

function mergeMissing(all: readonly Missing[]): Missing[] {
  const merged: Missing[] = [];
  for (const entry of all) {
    const twin = merged.find((m) => sameLack(m, entry));
    if (twin) twin.for = [...new Set([...twin.for, ...entry.for])];
    else merged.push({ ...entry });
  }
  return merged;
}

/** What comes with it, once each, and only where it was not found dirty itself. */
function alsoLookOf(surfaces: readonly SurfacePlan[], found: ReadonlyMap<Surface, Finding[]>): CleaningPlan['alsoLook'] {
  const all = surfaces.flatMap((s) => s.alsoLook).filter((l) => !found.has(l.surface));
  return all.filter((l, i) => all.findIndex((m) => m.surface === l.surface) === i);
}

/** Each hazard once, before the first step that needs it. */
function cautionsOf(steps: readonly Step[]): Caution[] {
  const seen = new Map<string, Caution>();
  for (const step of steps) for (const hazard of step.cautions) if (!seen.has(hazard)) seen.set(hazard, { hazard, before: step.id });
  return [...seen.values()];
}

function materialsOf(steps: readonly Step[]): Use[] {
  const totals = new Map<string, Use>();
  for (const { material, amount } of steps.flatMap((s) => s.uses)) {
    const quantity = (totals.get(material)?.amount.quantity ?? 0) + inStockUnits(amount);
    totals.set(material, { material, amount: { quantity, unit: materialFacts(material).unit } });
  }
  return [...totals.values()];
}

/** Every step tried once, every look taken: the most it takes when each rung has to be climbed. */
function totalsOf(steps: readonly Step[], context: Context): CleaningPlan['totals'] {
  const unitPrice = (material: Material) => knownPrice(material, context) ?? materialFacts(material).unitPrice;
  const materials = materialsOf(steps);
  const minutes = steps.reduce((sum, s) => sum + methodFacts(s.method).minutes + (s.look ? LOOK_MINUTES : 0), 0);
  const cost = materials.reduce((sum, { material, amount }) => sum + amount.quantity * unitPrice(material), 0);
  return { minutes, contacts: steps.filter((s) => s.contact).length, materials, cost: Math.round(cost * 100) / 100 };
}

/** What it comes to: what can be done comes before what cannot, and what keeps it from the rest before both. */
function saysOf(plan: Omit<CleaningPlan, 'summary'>, isPutAway: boolean): Summary['says'] {
  const waits = (until: WaitsUntil) => plan.deferred.some((d) => d.until === until);
  if (plan.handOver.some((h) => h.reason === 'salt-water-eats-on')) return 'salt-water-inside';
  if (waits('dry')) return 'let-dry';
  if (waits('clear')) return 'wait-to-clear';
  if (plan.steps.length > 0) return 'clean';
  if (isPutAway && plan.deferred.length > 0) return 'put-away';
  if (plan.openings.length > 0) return 'weigh-opening';
  if (plan.deferred.length > 0 && plan.deferred.every((d) => d.until === 'filter-off'))
    return plan.isolate ? 'hand-over' : 'free-the-filter';
  if (plan.deferred.length > 0) return 'wait-for-home';
  if (plan.isolate) return plan.missing.length > 0 ? 'drawer-lacks' : 'hand-over';
  if (plan.handOver.length > 0) return 'hand-over';
  if (plan.replace.length > 0) return 'renew';
  return plan.missing.length > 0 ? 'drawer-lacks' : 'leave';
}

/** By what it is judged there: the glass of what is looked through, by the view. */
function judgedBy(surface: Surface, kind: Context['kind']): Measure {
  const measure = measureOf(surface);
  return measure === 'picture' && kindFacts(kind).lookedThrough ? 'view' : measure;
}

const summaryOf = (plan: Omit<CleaningPlan, 'summary'>, isPutAway: boolean, { kind }: Context): Summary => ({
  says: saysOf(plan, isPutAway),
  apart: plan.isolate !== null,
  surfaces: new Set(plan.steps.map((s) => s.surface)).size,
  measures: [...new Set(plan.leaveAlone.map((l) => judgedBy(l.surface, kind)))],
});

/**
 * The gentlest sufficient plan for what was found: steps in contamination-safe order, each followed by a look,
 * and everything that was considered and not done with its reason. Pure: the same request, in whatever order
 * its findings are told, gives the same plan. `rules` are all of them, but for a check that leaves one out.
 *
 * @throws RangeError naming the finding when a surface, soil or severity does not belong to this thing.
 */
export function planCleaning(request: PlanRequest, rules?: Context['rules']): CleaningPlan {
  const context = contextOf(request, rules);
  checkFindings(request.findings, context);
  const found = bySurface(request.findings);
  const state = wetStateOf(request.findings);
  const surfaces: SurfacePlan[] = inWorkingOrder([...found.keys()]).map((s) => planSurface(s, found.get(s)!, context, state));
  const steps = surfaces.flatMap((s) => s.steps);
  const plan = {
    steps,
    rounds: roundsOf(steps),
    prepare: preparationFor(steps, context),
    close: closingFor(steps, context),
    refused: surfaces.flatMap((s) => s.refused),
    worthIt: surfaces.flatMap((s) => s.worthIt),
    leaveAlone: surfaces.flatMap((s) => s.leaveAlone),
    deferred: surfaces.flatMap((s) => s.deferred),
    handOver: surfaces.flatMap((s) => s.handOver),
    replace: surfaces.flatMap((s) => s.replace),
    isolate: surfaces.find((s) => s.isolate)?.isolate ?? null,
    openings: surfaces.flatMap((s) => s.openings),
    alsoLook: alsoLookOf(surfaces, found),
    missing: mergeMissing(surfaces.flatMap((s) => s.missing)),
    cautions: cautionsOf(steps),
    totals: totalsOf(steps, context),
  };
  const { place, conditions } = context;
  return { ...plan, summary: summaryOf(plan, place === 'field' && !!(conditions.blowingSand || conditions.rain), context) };
}
