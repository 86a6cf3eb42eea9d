import type { Because, Lack } from './because.js';
import { adaptMethod, outfitsFor, thingsOf, type Outfit } from './equip.js';
import { LADDERS, type Rung } from './knowledge/ladders.js';
import type { Material, Tool } from './knowledge/materials.js';
import { methodFacts, type Method } from './knowledge/methods.js';
import { holds, liesOn, natureOf, type Soil } from './soils/index.js';
import { spreads, spreadingAt } from './spreading.js';
import { familyOf, surfaceFacts, type Surface } from './knowledge/surfaces.js';
import { isOnHand, kindOfThing, lackOf } from './onHand.js';
import { filterBars, growthIsReachable, isWorthReaching, reachInside } from './reach.js';
import { firstRefusal } from './rules/index.js';
import { stepsFor } from './steps.js';
import { temptationsFor } from './temptations.js';
import { gravest, triage } from './triage.js';
import type { CleaningPlan, Context, Finding, Missing, Refusal, WaitsUntil } from './types.js';

/** A state of the whole thing before which everything waits. */
export type WetState = 'fogged' | 'wet';

export type SurfacePlan = Pick<
  CleaningPlan,
  'steps' | 'refused' | 'leaveAlone' | 'deferred' | 'handOver' | 'replace' | 'missing' | 'isolate' | 'openings' | 'alsoLook' | 'worthIt'
>;

/** A rung that passed the rules and for which there is something in the drawer. */
export type AllowedRung = { method: Method; outfit: Outfit; removes: Soil[]; finisher: boolean; last: boolean };
/** A rung that would have taken something, and what stood against it. */
type LostRung = { removes: Soil[]; because: Because };

const empty = (): SurfacePlan => ({
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

/** What of these findings a rung takes, as the record of each soil says. */
function removedBy({ method, finisher }: Rung, findings: readonly Finding[]): Soil[] {
  return findings
    .filter(({ soil, surface, severity }) => {
      const lies = liesOn(soil, surface);
      const bounds = (finisher ? lies?.finish : lies?.takes)?.[method];
      return bounds && severity >= (bounds.from ?? 1) && severity <= (bounds.upTo ?? 4);
    })
    .map((f) => f.soil);
}

/** Something the drawer lacks or holds in no fit state, and what stands in for it. */
function missingEntry(id: Tool | Material, surface: Surface, context: Context, standIn?: Tool | Material): Missing {
  return { ...kindOfThing(id), for: [surface], ...lackOf(id, surface, context), ...(standIn ? { substitute: standIn } : {}) };
}

type Choice = { outfit: Outfit | null; refusal: Refusal | null; missing: Missing[] };

/** The best outfit that the rules allow and the drawer holds; with it or instead of it, what is missing or why not. */
function chooseOutfit(method: Method, surface: Surface, findings: readonly Finding[], after: readonly Method[], context: Context): Choice {
  let best: Outfit | null = null;
  let chosen: Outfit | null = null;
  let refusal: Choice['refusal'] = null;
  for (const outfit of outfitsFor(method, surface, findings, context)) {
    const materials = outfit.uses.map((u) => u.material);
    const broken = firstRefusal({ surface, method, tool: outfit.tool, materials, findings, after }, context);
    if (broken) {
      refusal ??= { method, ...broken };
      continue;
    }
    best ??= outfit;
    if (!thingsOf(outfit).every((id) => isOnHand(id, surface, context))) continue;
    chosen = outfit;
    break;
  }
  if (!best) return { outfit: null, refusal, missing: [] };
  const lacking = thingsOf(best).filter((id) => !isOnHand(id, surface, context));
  const standIn = chosen ? thingsOf(chosen).find((id) => !thingsOf(best).includes(id)) : undefined;
  return { outfit: chosen, refusal: null, missing: lacking.map((id) => missingEntry(id, surface, context, standIn)) };
}

/** Why a rung is lost, without what it belongs to. */
function becauseOf({ refusal, missing: [lack] }: Choice): Because {
  if (refusal) return ruled(refusal);
  return lack ? lackAlone(lack) : { reason: 'no-gentle-way' };
}
const ruled = ({ reason, rule, surface }: Refusal): Because => ({ reason, rule, surface });
function lackAlone({ tool: _, material: __, for: ___, substitute: ____, ...lack }: Missing): Lack {
  return lack;
}

type Climb = { rungs: AllowedRung[]; lost: LostRung[]; refused: Refusal[]; missing: Missing[] };

const DAMP: readonly Method[] = ['damp-wipe', 'wet-wipe', 'solvent-wipe'];
/** A dry finisher stands in for a damp pass up to here; more it would only spread (our choice). */
const STANDS_IN_UP_TO = 3;

/** One rung put before rules and drawer, in the order they are climbed. */
function tryRung(rung: Rung, removes: Soil[], climb: Climb, surface: Surface, findings: readonly Finding[], context: Context): void {
  const method = adaptMethod(rung.method, surface, context);
  const twin = climb.rungs.find((r) => r.method === method && r.finisher === !!rung.finisher && r.last === !!rung.last);
  if (twin) {
    twin.removes = [...new Set([...twin.removes, ...removes])];
    return;
  }
  const after = climb.rungs.map((r) => r.method);
  const choice = chooseOutfit(method, surface, findings, after, context);
  const told = climb.refused.some((r) => r.method === method && r.rule === choice.refusal?.rule);
  if (choice.refusal && !told) climb.refused.push(choice.refusal);
  climb.missing.push(...choice.missing);
  if (choice.outfit) climb.rungs.push({ method, outfit: choice.outfit, removes, finisher: !!rung.finisher, last: !!rung.last });
  else climb.lost.push({ removes, because: becauseOf(choice) });
}

/** Grains and crystals go first even where growth lies; all else comes off with it (rules 28 and 35). */
const comesWithSpreading = (removes: readonly Soil[], surface: Surface): boolean =>
  removes.some((soil) => spreads(soil, surface) || natureOf(soil) === 'soluble' || holds(soil, 'grains'));

/** What takes growth or a crust takes what lies with it: nothing dry is tried there first. */
function withTheRest(removes: readonly Soil[], wanted: readonly Finding[], surface: Surface): Soil[] {
  if (!removes.some((soil) => spreads(soil, surface))) return [...removes];
  const light = wanted.filter((f) => ['loose', 'film', 'spot', 'bonded'].includes(natureOf(f.soil)) && !holds(f.soil, 'grains'));
  return [...new Set([...removes, ...light.map((f) => f.soil)])];
}

/** Air comes first though it takes nothing of what lies there; a stiff thread and a fogged finder ask for none. */
const isBlownFirst = (surface: Surface, wanted: readonly Finding[]): boolean =>
  familyOf(surface) !== 'thread' && wanted.some((f) => natureOf(f.soil) !== 'passing');

/** The first thing one would do is blow: where that would spread what lies there, the plan says so. */
function refuseAir(rung: Rung, removes: Soil[], climb: Climb, surface: Surface, findings: readonly Finding[], context: Context): void {
  if (rung.method === 'blow') tryRung(rung, removes, climb, surface, findings, context);
}

/** The rungs worth climbing for these findings, each with what the rules and the drawer say of it. */
function climbLadder(surface: Surface, wanted: readonly Finding[], findings: readonly Finding[], context: Context): Climb {
  const climb: Climb = { rungs: [], lost: [], refused: [], missing: [] };
  const ladder = LADDERS[familyOf(surface)];
  const isSpread = spreadingAt(surface, findings);
  const climbed = (rung: Rung) => {
    const removes = removedBy(rung, wanted);
    // Grains are blown and brushed, and lifted only where air would spread what lies with them.
    if (rung.method === 'dab' && !isSpread && familyOf(surface) !== 'mirror') return;
    if (isSpread && !comesWithSpreading(removes, surface)) return refuseAir(rung, removes, climb, surface, findings, context);
    if (removes.length > 0 || (rung.method === 'blow' && isBlownFirst(surface, wanted)))
      tryRung(rung, isSpread ? withTheRest(removes, wanted, surface) : removes, climb, surface, findings, context);
  };
  for (const rung of ladder.filter((r) => !r.finisher && !r.last)) climbed(rung);
  const dampCame = climb.rungs.some((r) => DAMP.includes(r.method));
  const servedDry = (soil: Soil) => climb.rungs.some((r) => r.removes.includes(soil));
  for (const rung of ladder.filter((r) => r.finisher && !isSpread)) {
    // Without a damp pass a finisher is all there is: it takes what a dry pad can.
    const open = wanted.filter((f) => dampCame || (f.severity <= STANDS_IN_UP_TO && !servedDry(f.soil)));
    const removes = removedBy(rung, open);
    if (removes.length === 0) continue;
    tryRung({ ...rung, ...(dampCame ? {} : { finisher: undefined }) }, removes, climb, surface, findings, context);
  }
  for (const rung of ladder.filter((r) => r.last)) climbed(rung);
  // A finisher that waits for the bench is no temptation out there: nobody reaches for it.
  const finishers = ladder.filter((r) => r.finisher).map((r) => r.method);
  climb.refused = climb.refused.filter((r) => !(r.rule === 'bench-work-waits' && r.method && finishers.includes(r.method)));
  // A finisher that is not at hand is no lack: the clean ends without it.
  climb.missing = climb.missing.filter((m) => !(dampCame && m.tool && FINISHING_TOOLS.includes(m.tool)));
  return climb;
}
const FINISHING_TOOLS: readonly Tool[] = ['carbon-pen', 'chamois'];

/** What is left of the findings when no rung, or not enough of them, may be climbed here and now. */
function unserved(surface: Surface, wanted: readonly Finding[], findings: readonly Finding[], climb: Climb, context: Context): SurfacePlan {
  const plan = empty();
  const left = wanted.filter((f) => !climb.rungs.some((r) => r.removes.includes(f.soil)));
  const whyNot = (soil: Soil): Because =>
    climb.lost.find((l) => l.removes.includes(soil))?.because ?? (climb.refused[0] ? ruled(climb.refused[0]) : { reason: 'no-gentle-way' });
  if (left.length === 0) return plan;
  if (context.place === 'field') return outOfReachOutdoors(surface, left, findings, whyNot, context);
  if (climb.missing.length > 0)
    return { ...plan, leaveAlone: [{ surface, reason: 'until-the-drawer-has', lack: lackAlone(climb.missing[0]!) }] };
  const costHint = context.traits.servicePrice ?? undefined;
  return {
    ...plan,
    handOver: left.map(({ soil }) => ({ ...whyNot(soil), surface, soil, ...(costHint === undefined ? {} : { costHint }) })),
  };
}

/** What the field cannot give waits for home; only what home cannot give either is handed over (rule 22). */
function outOfReachOutdoors(
  surface: Surface,
  left: readonly Finding[],
  findings: readonly Finding[],
  whyNot: (soil: Soil) => Because,
  context: Context,
): SurfacePlan {
  const plan = empty();
  const atHome = planSurface(surface, findings, { ...context, place: 'home', conditions: {}, onHand: null });
  for (const { soil } of left) {
    const handed = atHome.handOver.find((h) => h.soil === soil);
    if (handed) plan.handOver.push(handed);
    else plan.deferred.push({ ...whyNot(soil), surface, soil, until: 'home' });
  }
  return plan;
}

/** What lies behind a ring: offered to its owner to weigh, or refused by the rule that keeps it shut and handed over. */
function planInside(finding: Finding, findings: readonly Finding[], context: Context, plan: SurfacePlan): void {
  const { surface, soil, severity } = finding;
  const reach = reachInside(surface, soil, context);
  const costHint = context.traits.servicePrice;
  const inside: Because = { reason: 'inside', soil, surface, reach };
  if (reach.by === 'owner' && context.place === 'field') {
    const waits = firstRefusal({ surface, method: 'open-group', tool: null, materials: [], findings, after: [] }, context);
    plan.deferred.push({ ...(waits ?? inside), surface, soil, until: 'home' });
    return;
  }
  if (reach.by === 'owner') {
    const method = soil === 'dried-grease' ? 'lubricate' : 'open-group';
    plan.openings.push({
      ...inside,
      surface,
      soil,
      severity,
      method,
      rings: reach.rings,
      filterFirst: filterBars(context.traits, reach.rings[0]!),
    });
    return;
  }
  const shut = firstRefusal(
    { surface, method: 'open-group', tool: null, materials: [], findings, after: [] },
    { ...context, place: 'home' },
  );
  if (shut && !plan.refused.some((r) => r.rule === shut.rule)) plan.refused.push({ method: 'open-group', ...shut });
  const why: Because = reach.by === 'workshop' ? { reason: 'workshop-opens', bar: reach.bar } : inside;
  plan.handOver.push({ ...why, surface, soil, ...(costHint == null ? {} : { costHint }) });
}

/** Does it lie inside, where only a ring or a workshop leads? */
const isInside = ({ surface, soil, severity }: Finding): boolean => {
  const rungs = Object.keys(liesOn(soil, surface)?.takes ?? {});
  const onlyByOpening = rungs.length === 0 || rungs.includes('lubricate');
  return ['inside', 'growth'].includes(natureOf(soil)) && soil !== 'fungus-outside' && onlyByOpening && isWorthReaching(soil, severity);
};

/** Until when what waits is waited for. */
const UNTIL: Partial<Record<Because['reason'], WaitsUntil>> = {
  passes: 'clear',
  'no-water-may-stay': 'dry',
  'behind-stuck-filter': 'filter-off',
};

/** Findings that ask for something other than cleaning. */
function setAside(surface: Surface, findings: readonly Finding[], context: Context): SurfacePlan {
  const plan = empty();
  for (const finding of findings) {
    const { verdict, because } = triage(finding, context);
    const { soil } = finding;
    if (verdict === 'leave') plan.leaveAlone.push({ ...because, surface, soil });
    if (verdict === 'isolate') plan.isolate ??= { ...because, surface };
    if (verdict === 'wait') plan.deferred.push({ ...because, surface, soil, until: UNTIL[because.reason] ?? 'home' });
    if (verdict === 'replace') plan.replace.push({ ...because, surface, soil });
    if (['leave', 'clean', 'wait', 'replace'].includes(verdict)) continue;
    if (isInside(finding)) planInside(finding, findings, context, plan);
    else if (verdict === 'hand-over' || verdict === 'weigh' || !growthIsReachable(surface, soil)) {
      const costHint = context.traits.servicePrice;
      const why: Because = verdict === 'isolate' ? { reason: 'where-no-cloth-reaches' } : because;
      plan.handOver.push({ ...why, surface, soil, ...(costHint == null ? {} : { costHint }) });
    }
  }
  return plan;
}

const toClean = (findings: readonly Finding[], context: Context) =>
  findings.filter((f) => {
    const { verdict } = triage(f, context);
    return verdict === 'clean' || (verdict === 'isolate' && growthIsReachable(f.surface, f.soil));
  });

/** A dirty mirror or screen usually comes with a dirty finder; fog inside a port with a ring that lets water in. */
function alsoLookAt(surface: Surface, findings: readonly Finding[], { kind }: Context): CleaningPlan['alsoLook'] {
  const { family } = surfaceFacts(surface);
  const gotWet = findings.some((f) => f.severity > 0 && ['passing', 'flooded'].includes(natureOf(f.soil)));
  if (surface === 'port-inside' && gotWet) return [{ surface: 'o-ring', reason: 'ring-may-leak' }];
  if (kind === 'slr-body' && (family === 'mirror' || family === 'matte'))
    return [{ surface: 'viewfinder-window', reason: 'finder-comes-with-it' }];
  return [];
}

/** What waits is not touched by what would take something else there: its wipes wait with it (rule 35). */
function withoutWipesOverWhatWaits(surface: Surface, plan: SurfacePlan, wanted: readonly Finding[]): SurfacePlan {
  const waits = plan.deferred.filter((d) => d.until === 'home');
  if (waits.length === 0 || !plan.steps.some((s) => methodFacts(s.method).wipes)) return plan;
  const steps = plan.steps.filter((s) => !methodFacts(s.method).wipes);
  const kept = steps.some((s) => s.removes.length > 0) ? steps : [];
  const lost = wanted.filter(({ soil }) => !waits.some((d) => d.soil === soil) && !kept.some((s) => s.removes.includes(soil)));
  return {
    ...plan,
    steps: kept,
    worthIt: plan.worthIt.filter((w) => kept.some((s) => s.removes.includes(w.soil))),
    deferred: [
      ...plan.deferred,
      ...lost.map(({ soil }) => ({ surface, soil, until: 'home' as const, reason: 'waits-with-the-rest' as const })),
    ],
  };
}

/** The whole thing is fogged or wet: what would be cleaned comes after that (rules 27 and 39). */
const afterTheState = (surface: Surface, soils: readonly Soil[], state: WetState): SurfacePlan['deferred'] =>
  soils.map((soil) => ({ ...AFTER[state], surface, soil }));
const AFTER = {
  fogged: { reason: 'after-it-cleared', until: 'clear' },
  wet: { reason: 'after-it-dried', until: 'dry' },
} as const;

/** The whole answer for one surface: steps, and everything considered and not done. `state` is that of the whole thing. */
export function planSurface(surface: Surface, findings: readonly Finding[], context: Context, state: WetState | null = null): SurfacePlan {
  const aside = { ...setAside(surface, findings, context), alsoLook: alsoLookAt(surface, findings, context) };
  const wanted = toClean(findings, context);
  if (state) {
    const soils = [...wanted, ...aside.openings].map((f) => f.soil);
    return {
      ...aside,
      openings: [],
      refused: [...aside.refused, ...temptationsFor(surface, [], findings, context)],
      deferred: [...aside.deferred, ...afterTheState(surface, soils, state)],
    };
  }
  if (wanted.length === 0) return { ...aside, refused: [...aside.refused, ...temptationsFor(surface, [], findings, context)] };

  const climb = climbLadder(surface, wanted, findings, context);
  const useful = climb.rungs.some((r) => r.removes.length > 0) ? climb.rungs : [];
  const rest = unserved(surface, wanted, findings, { ...climb, rungs: useful }, context);
  const steps = stepsFor(surface, useful, findings, context);
  // What a later, allowed step does after all is no temptation: it would read as a contradiction.
  const tempting = temptationsFor(surface, wanted, findings, context).filter(
    (t) =>
      !climb.refused.some((r) => r.method === t.method && r.rule === t.rule) &&
      !steps.some((s) => s.uses.some((u) => u.material === t.material)),
  );
  const whole: SurfacePlan = {
    ...aside,
    steps,
    worthIt: wanted
      .filter((f) => steps.some((s) => s.removes.includes(f.soil)))
      .map((f) => ({ ...triage(f, context).because, surface, soil: f.soil })),
    refused: [...aside.refused, ...climb.refused, ...tempting],
    missing: climb.missing,
    leaveAlone: [...aside.leaveAlone, ...rest.leaveAlone],
    deferred: [...aside.deferred, ...rest.deferred],
    handOver: [...aside.handOver, ...rest.handOver],
  };
  return context.place === 'field' ? withoutWipesOverWhatWaits(surface, whole, wanted) : whole;
}

/** The gravest verdict over everything found on one surface. */
export const verdictFor = (findings: readonly Finding[], context: Context) =>
  gravest(findings.filter((f) => f.severity > 0).map((f) => triage(f, context)));
