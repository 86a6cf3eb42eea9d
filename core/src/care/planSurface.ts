import { climbLadder } from './climb.js';
import { methodFacts } from './knowledge/methods.js';
import { natureOf, type Soil } from './soils/index.js';
import { surfaceFacts, type Surface } from './knowledge/surfaces.js';
import { setAside, toClean } from './setAside.js';
import { stepsFor } from './steps.js';
import { wetStateOf, type SurfacePlan, type WetState } from './surfacePlan.js';
import { temptationsFor } from './temptations.js';
import { gravest, triage, type Triage } from './triage.js';
import type { CleaningPlan, Context, Finding } from './types.js';
import { unserved } from './unserved.js';

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
  const rest = unserved(surface, wanted, { ...climb, rungs: useful }, context, () =>
    planSurface(surface, findings, { ...context, place: 'home', conditions: {}, onHand: null }),
  );
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

/**
 * The gravest verdict over everything found on one surface, as the plan would have it at home with everything at hand:
 * dirt that no rung may take there is a workshop's, and a ring waits until what is behind it has dried.
 */
export function verdictFor(findings: readonly Finding[], context: Context): Triage {
  const found = findings.filter((f) => f.severity > 0);
  const triages = found.map((f) => triage(f, context));
  const asked = gravest(triages);
  // A ring is not undone while there is water behind it.
  if (asked.verdict === 'weigh' && wetStateOf(found)) return gravest(triages.filter((t) => t.verdict === 'wait'));
  if (asked.verdict !== 'clean') return asked;
  const [barred] = planSurface(found[0]!.surface, found, { ...context, place: 'home', conditions: {}, onHand: null }).handOver;
  if (!barred) return asked;
  const { costHint: _, ...because } = barred;
  return { verdict: 'hand-over', because };
}
