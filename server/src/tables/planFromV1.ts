import { care } from '@bright-keeper/core';
import type { KeptPlan } from './care.documents.js';

type OldEntry = { surface: care.Surface; soil?: care.Soil; reason: string } & Record<string, unknown>;
type OldStep = Record<string, unknown> & {
  look: { asks: care.Look['asks'] } | null;
  schoolNotes?: { school: care.SchoolId; followed: string; others: { choice: string }[] }[];
};
/** A plan as version 1 kept it, full of sentences, with the request it was made from. */
export type PlanV1 = {
  plan: {
    steps: OldStep[];
    refused: (Omit<OldEntry, 'soil'> & { rule: care.RuleId })[];
    worthIt: OldEntry[];
    leaveAlone: OldEntry[];
    deferred: OldEntry[];
    handOver: OldEntry[];
    openings: (OldEntry & { rings: care.Ring[]; soil: care.Soil })[];
    alsoLook: OldEntry[];
    isolate: OldEntry | null;
    missing: { tool?: care.Tool; material?: care.Material; for: care.Surface[]; substitute?: care.Tool | care.Material }[];
    cautions: { hazard: care.HazardId; before: string }[];
    totals: care.CleaningPlan['totals'];
  };
  request: care.PlanRequest;
};

/** The same request planned now, to learn the reasons that version 1 only kept as sentences; null where it cannot be planned any more. */
function plannedNow(request: care.PlanRequest): care.CleaningPlan | null {
  try {
    return care.planCleaning(request);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

type Told = { surface: care.Surface; soil?: care.Soil } & care.Because;

/** An entry with the reason that the plan of now gives for the same surface and dirt; that it was decided so, where it gives none. */
function retold({ reason: _, ...entry }: OldEntry, now: readonly Told[] = []): unknown {
  const same = now.find((n) => n.surface === entry.surface && n.soil === entry.soil);
  return { ...(same ?? { reason: 'decided-then' }), ...entry };
}

/** The first programs knew no work on sensors. */
const withoutTexts = ({ basis: _, look, schoolNotes = [], ...step }: OldStep) => ({
  sensor: null,
  ...step,
  look: look && { asks: look.asks },
  schoolNotes: schoolNotes.map(({ school, followed, others }) => ({ school, followed, others: others.map(({ choice }) => ({ choice })) })),
});

/** Version 2 keeps codes and facts: what to do stays as it was agreed on, every sentence becomes its code. */
export function planFromV1({ plan, request }: PlanV1): Omit<KeptPlan, 'replace'> {
  const now = plannedNow(request);
  const refused = plan.refused.filter((r) => care.RULES.some((rule) => rule.id === r.rule));
  const sameMissing = (m: PlanV1['plan']['missing'][number]) => now?.missing.find((n) => n.tool === m.tool && n.material === m.material);
  return {
    steps: plan.steps.map(withoutTexts),
    // It was begun one surface at a time, and what was done is told by step.
    rounds: [],
    prepare: now?.prepare ?? [],
    close: now?.close ?? [],
    refused: refused.map(({ reason: _, ...r }) => ({ ...r, reason: 'rule' })),
    worthIt: plan.worthIt.map((e) => retold(e, now?.worthIt)),
    leaveAlone: plan.leaveAlone.map((e) => retold(e, now?.leaveAlone)),
    deferred: plan.deferred.map((e) => retold(e, now?.deferred)),
    handOver: plan.handOver.map((e) => retold(e, now?.handOver)),
    openings: plan.openings.map(({ reason: _, ...o }) => ({ ...o, reason: 'inside', reach: { by: 'owner', rings: o.rings } })),
    alsoLook: plan.alsoLook.map(({ reason: _, ...l }) => ({ ...l, reason: 'finder-comes-with-it' })),
    isolate: plan.isolate && retold(plan.isolate, now?.isolate ? [now.isolate] : []),
    missing: plan.missing.map(({ tool, material, for: surfaces, substitute }) => {
      const lack = {
        thing: tool ?? material,
        reason: 'not-in-drawer',
        ...sameMissing({ ...(tool ? { tool } : {}), ...(material ? { material } : {}), for: surfaces }),
      };
      return { ...lack, ...(tool ? { tool } : { material }), for: surfaces, ...(substitute ? { substitute } : {}) };
    }),
    cautions: plan.cautions.map(({ hazard, before }) => ({ hazard, before })),
    totals: plan.totals,
    summary: now?.summary ?? { says: plan.steps.length > 0 ? 'clean' : 'leave', apart: plan.isolate !== null, surfaces: 0 },
  } as unknown as KeptPlan;
}
