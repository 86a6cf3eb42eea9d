import { frontMarkOf, type FrontMarkFacts } from './frontMarks.js';
import type { Because } from './because.js';
import { familyOf, holdsCells } from './knowledge/surfaces.js';
import { growthIsReachable, isBehindStuckFilter, isCoveredThread, isWorthReaching, reachInside } from './reach.js';
import { actFromAt, liesOn, natureOf, type Lies, type Soil } from './soils/index.js';
import type { Context, Finding } from './types.js';

/** What one finding asks for, before any rule about how; from the mildest to the gravest. */
export const VERDICTS = ['leave', 'clean', 'wait', 'replace', 'weigh', 'hand-over', 'isolate'] as const;
export type Verdict = (typeof VERDICTS)[number];
/** How grave a verdict is: what spreads outweighs what only a workshop can halt, and that what only shows. */
export const gravity = (verdict: Verdict): number => VERDICTS.indexOf(verdict);
/** What a thing as a whole asks for: the gravest of its surfaces; null where none is known. */
export const gravestOf = (states: readonly { verdict: Verdict }[]): Verdict | null =>
  VERDICTS.findLast((verdict) => states.some((s) => s.verdict === verdict)) ?? null;
export type Triage = { verdict: Verdict; because: Because };

const leave = (because: Because): Triage => ({ verdict: 'leave', because });
const clean = (because: Because): Triage => ({ verdict: 'clean', because });
const wait = (because: Because): Triage => ({ verdict: 'wait', because });
const handOver = (because: Because): Triage => ({ verdict: 'hand-over', because });
const isolate = (because: Because): Triage => ({ verdict: 'isolate', because });

function triageDamage(finding: Finding, { traits }: Context): Triage {
  const { soil, surface, severity } = finding;
  const mark = frontMarkOf(finding, traits);
  if (mark && !mark.visible) return neverShows(soil, mark);
  if (familyOf(surface) === 'bath' && soil === 'coating-damage') return handOver({ reason: 'coat-anew', soil, surface });
  const grave = severity >= 3 && soil !== 'fine-scratch' && familyOf(surface) !== 'shell';
  return (grave ? handOver : leave)({ reason: 'damage', soil, surface, grave, ...(mark?.showsFrom ? { showsFrom: mark.showsFrom } : {}) });
}

const neverShows = (soil: Soil, { sizeMm, focalMm, fNumber }: FrontMarkFacts): Triage =>
  leave({ reason: 'never-shows', soil, sizeMm, focalMm, fNumber });

/** Telescope mirrors, by what lies there and then by how much (rule 30): each wash costs silver, skin acid costs more. */
function triageBath({ soil, surface, severity }: Finding): Triage {
  if (natureOf(soil) === 'corrosion') return handOver({ reason: 'coat-anew', soil, surface });
  return severity >= actFromAt(soil, surface)
    ? handOver({ reason: 'worth-a-wash', soil, surface })
    : leave({ reason: 'washing-costs-silver' });
}

const polishes = ({ surface, soil }: Finding, { traits }: Context) =>
  soil === 'fine-scratch' &&
  traits.opticMaterial === 'acrylic' &&
  traits.coating === 'none' &&
  (surface === 'port-outside' || surface === 'port-inside');

function triageInside({ surface, soil, severity }: Finding, context: Context): Triage {
  if (!isWorthReaching(soil, severity)) return leave({ reason: 'little-inside', soil, surface });
  const reach = reachInside(surface, soil, context);
  if (reach.by === 'open-thread') return clean({ reason: 'thread-lies-open' });
  // Behind a ring its owner may undo: that is weighed, and neither “hand over” nor “go” is said before it is.
  return { verdict: reach.by === 'owner' ? 'weigh' : 'hand-over', because: { reason: 'inside', soil, surface, reach } };
}

function triageByThreshold(finding: Finding, { schools, traits }: Context): Triage {
  const { surface, soil, severity } = finding;
  const everyTime = schools.habit === 'after-every-outing';
  const mark = frontMarkOf(finding, traits);
  if (mark && !mark.visible && !everyTime) return neverShows(soil, mark);
  if (severity >= actFromAt(soil, surface)) return clean({ reason: 'worth-a-touch', soil, surface });
  if (everyTime) return clean({ reason: 'after-every-outing' });
  return leave({ reason: 'little-enough', soil, surface });
}

/** What leaked from a cell is caustic and goes deep; elsewhere bloom is weather, and a workshop's where it has eaten in (rule 33). */
function triageCorrosion({ soil, surface, severity }: Finding): Triage {
  if (holdsCells(surface) && severity >= 3) return handOver({ reason: 'corrosion-goes-deep' });
  if (severity >= 4) return handOver({ reason: 'workshop-takes-it', soil, surface });
  return clean({ reason: 'worth-a-touch', soil, surface });
}

/** A mirror box is blown out and nothing else; what air does not move there lies out of the light. */
function triageChamber(finding: Finding, context: Context): Triage {
  if (natureOf(finding.soil) === 'loose') return triageByThreshold(finding, context);
  if (finding.severity >= 4) return handOver({ reason: 'chamber-needs-a-workshop' });
  return leave({ reason: 'chamber-out-of-the-light' });
}

/** A finish turned tacky is something found from the first tack on; what becomes of it, the school says. */
const triageTacky = ({ soil, surface }: Finding, lies: Lies, { schools }: Context): Triage => {
  if (!lies.takes) return leave({ reason: 'lived-with', soil, surface });
  return schools.sticky === 'remove' ? clean({ reason: 'sticky-is-removed' }) : leave({ reason: 'sticky-is-aired' });
};

/** Growth is kept apart wherever it is; on a surface one can reach it is cleaned at home all the same. */
function triageGrowth({ surface, soil }: Finding): Triage {
  const comesOff = familyOf(surface) !== 'glass' && growthIsReachable(surface, soil);
  return isolate(comesOff ? { reason: 'mould-comes-off', surface } : { reason: 'growth', soil, surface });
}

/** Water that passes is waited for, water that got in is dried; the sea's goes to a workshop at once (rules 27 and 39). */
function triageWetness({ soil, surface }: Finding, lies: Lies): Triage {
  if (lies.takes) return clean({ reason: 'worth-a-touch', soil, surface });
  if (natureOf(soil) === 'passing') return wait({ reason: 'passes', soil, surface });
  return lies.ends === 'wait'
    ? wait({ reason: 'no-water-may-stay', soil, surface })
    : handOver({ reason: 'salt-water-eats-on', soil, surface });
}

/** What no rung takes: its record says what becomes of it, from the severity on from which it matters there. */
function triageEnd({ soil, surface, severity }: Finding, { ends }: Lies): Triage {
  if (severity < actFromAt(soil, surface)) return leave({ reason: 'little-enough', soil, surface });
  if (ends === 'renew') return { verdict: 'replace', because: { reason: 'renew', soil, surface } };
  return ends === 'accept' ? leave({ reason: 'lived-with', soil, surface }) : handOver({ reason: 'workshop-takes-it', soil, surface });
}

/** Dirt on what lies behind a ring: the way to it decides, and little of it is harmless. */
function triageUnreached({ surface, soil, severity }: Finding, context: Context): Triage {
  if (severity < (familyOf(surface) === 'inner' ? actFromAt(soil, surface) : 3)) return leave({ reason: 'little-inside', soil, surface });
  return handOver({ reason: 'not-reached-from-outside', surface, reach: reachInside(surface, soil, context) });
}

/** Of what can be cleaned away, by where it lies. */
function triageDirt(finding: Finding, lies: Lies, context: Context): Triage {
  const { surface } = finding;
  const family = familyOf(surface);
  if (family === 'inner' || isCoveredThread(surface, context.traits)) return triageUnreached(finding, context);
  if (family === 'chamber') return triageChamber(finding, context);
  return lies.takes ? triageByThreshold(finding, context) : triageEnd(finding, lies);
}

/**
 * What a single finding asks for: leave it, clean it, wait, renew it, weigh a ring, hand it over, or isolate it, and why.
 * Severity 0 is nothing found and always `leave`. Growth is asked first, wherever it lies (rule 28); then whether it is
 * wet; then whether it can be reached.
 */
export function triage(finding: Finding, context: Context): Triage {
  const { surface, soil, severity } = finding;
  if (severity === 0) return leave({ reason: 'nothing-found' });
  const lies = liesOn(soil, surface);
  if (!lies) return leave({ reason: 'not-known-there', soil, surface });
  const nature = natureOf(soil);
  if (nature === 'growth') return triageGrowth(finding);
  if (nature === 'passing' || nature === 'flooded') return triageWetness(finding, lies);
  if (isBehindStuckFilter(surface, context.traits)) return wait({ reason: 'behind-stuck-filter' });
  if (nature === 'damage') return polishes(finding, context) ? clean({ reason: 'polishes-out' }) : triageDamage(finding, context);
  if (familyOf(surface) === 'bath') return triageBath(finding);
  switch (nature) {
    case 'tacky':
      return triageTacky(finding, lies, context);
    case 'corrosion':
      return lies.takes ? triageCorrosion(finding) : triageEnd(finding, lies);
    case 'inside':
      return lies.takes?.lubricate || !lies.takes ? triageInside(finding, context) : triageDirt(finding, lies, context);
    case 'worn':
    case 'dried-out':
      return lies.takes ? triageByThreshold(finding, context) : triageEnd(finding, lies);
    case 'loose':
    case 'film':
    case 'spot':
    case 'soluble':
    case 'bonded':
      return triageDirt(finding, lies, context);
    default:
      return nature satisfies never;
  }
}

/** The gravest of several triages: isolate over hand over over clean over leave; the first told where they tie. */
export const gravest = (triages: readonly Triage[]): Triage =>
  triages.reduce<Triage | null>((worst, t) => (worst && gravity(t.verdict) <= gravity(worst.verdict) ? worst : t), null) ??
  leave({ reason: 'nothing-found' });
