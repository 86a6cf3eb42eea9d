import type { Because } from './because.js';
import { lackAlone, ruled, type Climb } from './climb.js';
import type { Soil } from './soils/index.js';
import type { Surface } from './knowledge/surfaces.js';
import { empty, type SurfacePlan } from './surfacePlan.js';
import type { Context, Finding } from './types.js';

/**
 * What is left of the findings when no rung, or not enough of them, may be climbed here and now.
 *
 * @param atHome what would be said of them at home, with everything at hand.
 */
export function unserved(
  surface: Surface,
  wanted: readonly Finding[],
  climb: Climb,
  context: Context,
  atHome: () => SurfacePlan,
): SurfacePlan {
  const plan = empty();
  const left = wanted.filter((f) => !climb.rungs.some((r) => r.removes.includes(f.soil)));
  const whyNot = (soil: Soil): Because =>
    climb.lost.find((l) => l.removes.includes(soil))?.because ?? (climb.refused[0] ? ruled(climb.refused[0]) : { reason: 'no-gentle-way' });
  if (left.length === 0) return plan;
  if (context.place === 'field') return outOfReachOutdoors(surface, left, whyNot, atHome());
  if (climb.missing.length > 0)
    return { ...plan, leaveAlone: [{ surface, reason: 'until-the-drawer-has', lack: lackAlone(climb.missing[0]!) }] };
  const costHint = context.traits.servicePrice ?? undefined;
  return {
    ...plan,
    handOver: left.map(({ soil }) => ({ ...whyNot(soil), surface, soil, ...(costHint === undefined ? {} : { costHint }) })),
  };
}

/** What the field cannot give waits for home; only what home cannot give either is handed over (rule 22). */
function outOfReachOutdoors(surface: Surface, left: readonly Finding[], whyNot: (soil: Soil) => Because, atHome: SurfacePlan): SurfacePlan {
  const plan = empty();
  for (const { soil } of left) {
    const handed = atHome.handOver.find((h) => h.soil === soil);
    if (handed) plan.handOver.push(handed);
    else plan.deferred.push({ ...whyNot(soil), surface, soil, until: 'home' });
  }
  return plan;
}
