import type { Because } from './because.js';
import { liesOn, natureOf } from './soils/index.js';
import type { Surface } from './knowledge/surfaces.js';
import { filterBars, growthIsReachable, isWorthReaching, reachInside } from './reach.js';
import { firstRefusal } from './rules/index.js';
import { empty, type SurfacePlan } from './surfacePlan.js';
import { triage } from './triage.js';
import type { Context, Finding, WaitsUntil } from './types.js';

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
export function setAside(surface: Surface, findings: readonly Finding[], context: Context): SurfacePlan {
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

/** What is left of them to be cleaned. */
export const toClean = (findings: readonly Finding[], context: Context) =>
  findings.filter((f) => {
    const { verdict } = triage(f, context);
    return verdict === 'clean' || (verdict === 'isolate' && growthIsReachable(f.surface, f.soil));
  });
