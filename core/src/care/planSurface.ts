import { mayTouch } from '../supplies/mayTouch.js';
import { adaptMethod, isAlwaysThere, outfitsFor, thingName, thingsOf, type Outfit } from './equip.js';
import { LADDERS, type Rung } from './knowledge/ladders.js';
import { TOOLS, type Material, type Tool } from './knowledge/materials.js';
import type { Method } from './knowledge/methods.js';
import type { Soil } from './knowledge/soils.js';
import { familyOf, type Surface } from './knowledge/surfaces.js';
import { firstRefusal, type RuleId } from './rules/index.js';
import { stepsFor } from './steps.js';
import { swabOnHand } from './swabOnHand.js';
import { temptationsFor } from './temptations.js';
import { gravest, growthIsReachable, triage } from './triage.js';
import type { CleaningPlan, Context, Finding, Missing, Refusal } from './types.js';

export type SurfacePlan = Pick<CleaningPlan, 'steps' | 'refused' | 'leaveAlone' | 'deferred' | 'handOver' | 'missing' | 'isolate'>;

/** A rung that passed the rules and for which there is something in the drawer. */
export type AllowedRung = { method: Method; outfit: Outfit; removes: Soil[]; finisher: boolean };

const empty = (): SurfacePlan => ({ steps: [], refused: [], leaveAlone: [], deferred: [], handOver: [], missing: [], isolate: null });

/** Why rungs fell away decides what becomes of the finding: wait for home, or hand over. */
const PLACE_RULES: readonly RuleId[] = [
  'grit-in-the-field',
  'closed-in-sand-and-rain',
  'bench-work-waits',
  'no-open-fluid-in-the-field',
  'field-air-and-brush',
  'sensor-stays-closed-outdoors',
];

function removedBy(rung: Rung, findings: readonly Finding[]): Soil[] {
  return findings
    .filter(({ soil, severity }) => {
      const bounds = rung.removes[soil];
      return bounds && severity >= (bounds.from ?? 1) && severity <= (bounds.upTo ?? 4);
    })
    .map((f) => f.soil);
}

function isOnHand(id: Tool | Material, surface: Surface, context: Context): boolean {
  const { onHand } = context;
  if (onHand === null || isAlwaysThere(id)) return true;
  if (id === 'sensor-swab' && !swabOnHand(context)) return false;
  return onHand.some((thing) => thing.id === id && mayTouch(thing, surface).ok);
}

/** Why a thing that lies in the drawer cannot be used here; undefined when there is none at all. */
function unfitBecause(id: Tool | Material, surface: Surface, context: Context): string | undefined {
  const unfit = context.onHand?.find((thing) => thing.id === id);
  if (!unfit) return undefined;
  if (id === 'sensor-swab' && !swabOnHand(context)) return 'Every swab in the drawer is wider than this sensor: it would not lie flat.';
  return mayTouch(unfit, surface).reason;
}

/** Something the drawer lacks or holds in no fit state, and what stands in for it. */
function missingEntry(id: Tool | Material, surface: Surface, context: Context, standIn?: Tool | Material): Missing {
  const reason = unfitBecause(id, surface, context) ?? `There is no ${thingName(id)} in the drawer.`;
  return {
    ...(id in TOOLS ? { tool: id as Tool } : { material: id as Material }),
    for: [surface],
    reason,
    ...(standIn ? { substitute: standIn } : {}),
  };
}

type Choice = { outfit: Outfit | null; refusal: Omit<Refusal, 'surface'> | null; missing: Missing[] };

/** The best outfit that the rules allow and the drawer holds; with it or instead of it, what is missing or why not. */
function chooseOutfit(method: Method, surface: Surface, findings: readonly Finding[], context: Context): Choice {
  const judged = outfitsFor(method, surface, findings, context).map((outfit) => ({
    outfit,
    refusal: firstRefusal({ surface, method, tool: outfit.tool, materials: outfit.uses.map((u) => u.material), findings }, context),
  }));
  const allowed = judged.filter((j) => !j.refusal).map((j) => j.outfit);
  const best = allowed[0];
  if (!best) return { outfit: null, refusal: { method, ...judged[0]!.refusal! }, missing: [] };
  const chosen = allowed.find((outfit) => thingsOf(outfit).every((id) => isOnHand(id, surface, context))) ?? null;
  const lacking = thingsOf(best).filter((id) => !isOnHand(id, surface, context));
  const standIn = chosen && thingsOf(chosen).find((id) => !thingsOf(best).includes(id));
  return { outfit: chosen, refusal: null, missing: lacking.map((id) => missingEntry(id, surface, context, standIn ?? undefined)) };
}

/** The rungs worth climbing for these findings, each with what the rules and the drawer say of it. */
function climb(surface: Surface, wanted: readonly Finding[], findings: readonly Finding[], context: Context) {
  const rungs: AllowedRung[] = [];
  const refused: Refusal[] = [];
  const missing: Missing[] = [];
  for (const rung of LADDERS[familyOf(surface)]) {
    const removes = removedBy(rung, wanted);
    const prepares = rung.method === 'blow';
    if (removes.length === 0 && !prepares) continue;
    const method = adaptMethod(rung.method, surface, context);
    const choice = chooseOutfit(method, surface, findings, context);
    if (choice.refusal) refused.push({ surface, ...choice.refusal });
    missing.push(...choice.missing);
    if (choice.outfit) rungs.push({ method, outfit: choice.outfit, removes, finisher: !!rung.finisher });
  }
  return { rungs, refused, missing };
}

/** What is left of the findings when no rung, or not enough of them, may be climbed here and now. */
function unserved(
  surface: Surface,
  wanted: readonly Finding[],
  rungs: readonly AllowedRung[],
  refused: readonly Refusal[],
  missing: readonly Missing[],
  context: Context,
): SurfacePlan {
  const plan = empty();
  const waits = refused.find((r) => PLACE_RULES.includes(r.rule));
  if (waits) return { ...plan, deferred: [{ surface, reason: waits.reason, until: 'home' }] };
  const left = wanted.filter((f) => !rungs.some((r) => r.removes.includes(f.soil)));
  if (left.length === 0) return plan;
  if (missing.length > 0)
    return { ...plan, leaveAlone: [{ surface, reason: `Leave it until the drawer has what it needs: ${missing[0]!.reason}` }] };
  const costHint = context.traits.servicePrice ?? undefined;
  const why = refused[0]?.reason ?? 'No gentle way takes this off.';
  return { ...plan, handOver: left.map(({ soil }) => ({ surface, soil, reason: why, ...(costHint === undefined ? {} : { costHint }) })) };
}

/** Findings that ask for something other than cleaning. */
function setAside(surface: Surface, findings: readonly Finding[], context: Context): SurfacePlan {
  const plan = empty();
  for (const finding of findings) {
    const { verdict, reason } = triage(finding, context);
    const { soil } = finding;
    if (verdict === 'leave') plan.leaveAlone.push({ surface, soil, reason });
    const outOfReach = verdict === 'isolate' && !growthIsReachable(surface, soil);
    if (verdict === 'isolate') plan.isolate ??= { surface, reason };
    if (verdict === 'hand-over' || outOfReach) {
      const costHint = context.traits.servicePrice;
      plan.handOver.push({
        surface,
        soil,
        reason: outOfReach ? 'It lies where no cloth reaches. A workshop opens it, or you accept it and keep it apart.' : reason,
        ...(costHint == null ? {} : { costHint }),
      });
    }
  }
  return plan;
}

const toClean = (findings: readonly Finding[], context: Context) =>
  findings.filter((f) => {
    const { verdict } = triage(f, context);
    return verdict === 'clean' || (verdict === 'isolate' && growthIsReachable(f.surface, f.soil));
  });

/** The whole answer for one surface: steps, and everything considered and not done. */
export function planSurface(surface: Surface, findings: readonly Finding[], context: Context): SurfacePlan {
  const aside = setAside(surface, findings, context);
  const wanted = toClean(findings, context);
  if (wanted.length === 0) return aside;

  const { rungs, refused, missing } = climb(surface, wanted, findings, context);
  const useful = rungs.some((r) => r.removes.length > 0) ? rungs : [];
  const rest = unserved(surface, wanted, useful, refused, missing, context);
  return {
    ...aside,
    steps: stepsFor(surface, useful, findings, context),
    refused: [...refused, ...temptationsFor(surface, wanted, findings, context)],
    missing,
    leaveAlone: [...aside.leaveAlone, ...rest.leaveAlone],
    deferred: rest.deferred,
    handOver: [...aside.handOver, ...rest.handOver],
  };
}

/** The gravest verdict over everything found on one surface. */
export const verdictFor = (findings: readonly Finding[], context: Context) => gravest(findings.map((f) => triage(f, context)));
