import { frontMarkOf, type FrontMarkFacts } from './frontMarks.js';
import { SOILS, type Soil } from './knowledge/soils.js';
import type { Because } from './because.js';
import { familyOf } from './knowledge/surfaces.js';
import { growthIsReachable, isBehindStuckFilter, isWorthReaching, reachInside } from './reach.js';
import type { Context, Finding } from './types.js';

/** What one finding asks for, before any rule about how; from the mildest to the gravest. */
export const VERDICTS = ['leave', 'clean', 'hand-over', 'isolate'] as const;
export type Verdict = (typeof VERDICTS)[number];
/** How grave a verdict is: what spreads outweighs what only a workshop can halt, and that what only shows. */
export const gravity = (verdict: Verdict): number => VERDICTS.indexOf(verdict);
export type Triage = { verdict: Verdict; because: Because };

const leave = (because: Because): Triage => ({ verdict: 'leave', because });
const clean = (because: Because): Triage => ({ verdict: 'clean', because });
const handOver = (because: Because): Triage => ({ verdict: 'hand-over', because });
const isolate = (because: Because): Triage => ({ verdict: 'isolate', because });

function triageDamage(finding: Finding, { traits }: Context): Triage {
  const { soil, severity } = finding;
  const mark = frontMarkOf(finding, traits);
  if (mark && !mark.visible) return neverShows(soil, mark);
  const grave = severity >= 3 && soil !== 'fine-scratch';
  return (grave ? handOver : leave)({ reason: 'damage', soil, grave, ...(mark?.showsFrom ? { showsFrom: mark.showsFrom } : {}) });
}

const neverShows = (soil: Soil, { sizeMm, focalMm, fNumber }: FrontMarkFacts): Triage =>
  leave({ reason: 'never-shows', soil, sizeMm, focalMm, fNumber });

/** Telescope mirrors: dust on them costs next to nothing, and each wash costs silver. */
const triageBath = ({ severity }: Finding): Triage =>
  severity >= 4 ? handOver({ reason: 'worth-a-wash' }) : leave({ reason: 'washing-costs-silver' });

const polishes = ({ surface, soil }: Finding, { traits }: Context) =>
  soil === 'fine-scratch' &&
  traits.opticMaterial === 'acrylic' &&
  traits.coating === 'none' &&
  (surface === 'port-outside' || surface === 'port-inside');

function triageInside({ surface, soil, severity }: Finding, context: Context): Triage {
  if (!isWorthReaching(soil, severity)) return leave({ reason: 'little-inside', soil });
  const reach = reachInside(surface, soil, context);
  return reach.by === 'open-thread' ? clean({ reason: 'thread-lies-open' }) : handOver({ reason: 'inside', soil, reach });
}

function triageByThreshold(finding: Finding, { schools, traits }: Context): Triage {
  const { surface, soil, severity } = finding;
  const everyTime = schools.habit === 'after-every-outing';
  const mark = frontMarkOf(finding, traits);
  if (mark && !mark.visible && !everyTime) return neverShows(soil, mark);
  if (severity >= SOILS[soil].actFrom) return clean({ reason: 'worth-a-touch', soil, surface });
  if (everyTime) return clean({ reason: 'after-every-outing' });
  return leave({ reason: 'little-enough', soil, surface });
}

/** Metal at a battery: beyond a bloom it is a workshop's. */
function triageCorrosion({ soil, surface, severity }: Finding): Triage {
  return severity >= 3 ? handOver({ reason: 'corrosion-goes-deep' }) : clean({ reason: 'worth-a-touch', soil, surface });
}

/** A mirror box is blown out and nothing else; what air does not move there lies out of the light. */
function triageChamber(finding: Finding, context: Context): Triage {
  if (SOILS[finding.soil].nature === 'loose') return triageByThreshold(finding, context);
  if (finding.severity >= 4) return handOver({ reason: 'chamber-needs-a-workshop' });
  return leave({ reason: 'chamber-out-of-the-light' });
}

/** A finish turned tacky is something found from the first tack on; what becomes of it, the school says. */
const triageTacky = ({ schools }: Context): Triage =>
  schools.sticky === 'remove' ? clean({ reason: 'sticky-is-removed' }) : leave({ reason: 'sticky-is-aired' });

/** Growth is kept apart wherever it is; on a surface one can reach it is cleaned at home all the same. */
function triageGrowth({ surface, soil }: Finding): Triage {
  const comesOff = familyOf(surface) !== 'glass' && growthIsReachable(surface, soil);
  return isolate(comesOff ? { reason: 'mould-comes-off', surface } : { reason: 'growth', soil });
}

/**
 * What a single finding asks for: leave it, clean it, isolate the thing, or hand it over, and why.
 * Severity 0 is nothing found and always `leave`.
 */
export function triage(finding: Finding, context: Context): Triage {
  const { surface, soil, severity } = finding;
  if (severity === 0) return leave({ reason: 'nothing-found' });
  if (isBehindStuckFilter(surface, context.traits)) return leave({ reason: 'behind-stuck-filter' });
  if (familyOf(surface) === 'bath') return triageBath(finding);
  const nature = SOILS[soil].nature;
  switch (nature) {
    case 'damage':
      return polishes(finding, context) ? clean({ reason: 'polishes-out' }) : triageDamage(finding, context);
    case 'passing':
      return leave({ reason: 'passes', soil });
    case 'growth':
      return triageGrowth(finding);
    case 'tacky':
      return triageTacky(context);
    case 'corrosion':
      return triageCorrosion(finding);
    case 'inside':
      return triageInside(finding, context);
    case 'loose':
    case 'film':
    case 'spot':
    case 'soluble':
    case 'bonded':
      if (familyOf(surface) === 'inner')
        return severity >= 3
          ? handOver({ reason: 'not-reached-from-outside', surface, reach: reachInside(surface, 'internal-dust', context) })
          : leave({ reason: 'little-inside', soil: 'internal-dust' });
      if (familyOf(surface) === 'chamber') return triageChamber(finding, context);
      return triageByThreshold(finding, context);
    default:
      return nature satisfies never;
  }
}

/** The gravest of several triages: isolate over hand over over clean over leave; the first told where they tie. */
export const gravest = (triages: readonly Triage[]): Triage =>
  triages.reduce<Triage | null>((worst, t) => (worst && gravity(t.verdict) <= gravity(worst.verdict) ? worst : t), null) ??
  leave({ reason: 'nothing-found' });
