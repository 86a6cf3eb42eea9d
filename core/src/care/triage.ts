import { SOILS } from './knowledge/soils.js';
import { whyAct, whyLeave } from './knowledge/reasons.js';
import { familyOf, surfaceFacts } from './knowledge/surfaces.js';
import { BARS, growthIsReachable, isBehindStuckFilter, isWorthReaching, reachInside } from './reach.js';
import type { Context, Finding } from './types.js';

/** What one finding asks for, before any rule about how; from the mildest to the gravest. */
export const VERDICTS = ['leave', 'clean', 'hand-over', 'isolate'] as const;
export type Verdict = (typeof VERDICTS)[number];
/** How grave a verdict is: what spreads outweighs what only a workshop can halt, and that what only shows. */
export const gravity = (verdict: Verdict): number => VERDICTS.indexOf(verdict);
export type Triage = { verdict: Verdict; reason: string };

const leave = (reason: string): Triage => ({ verdict: 'leave', reason });
const clean = (reason: string): Triage => ({ verdict: 'clean', reason });
const handOver = (reason: string): Triage => ({ verdict: 'hand-over', reason });

function triageDamage({ soil, severity }: Finding): Triage {
  const why = SOILS[soil].why;
  if (severity >= 3 && soil !== 'fine-scratch') return handOver(`${why} Ask a workshop only if it shows in the picture.`);
  return leave(why);
}

/** Telescope mirrors: dust on them costs next to nothing, and each wash costs silver. */
function triageBath({ severity }: Finding): Triage {
  if (severity >= 4)
    return handOver(
      'So much is worth a wash: follow the maker’s washing procedure, a bath of water with cotton, or give it to a workshop.',
    );
  return leave(
    'It costs next to nothing in the picture, and each wash costs silver. The maker’s washing procedure, at long intervals, is the only way.',
  );
}

const polishes = ({ surface, soil }: Finding, { traits }: Context) =>
  soil === 'fine-scratch' &&
  traits.opticMaterial === 'acrylic' &&
  traits.coating === 'none' &&
  (surface === 'port-outside' || surface === 'port-inside');

const TOO_LITTLE_INSIDE: Partial<Record<Finding['soil'], string>> = {
  haze: 'A trace of haze: note it and look again in three months whether it grows.',
  oil: 'A trace of oil: note it, and see whether the blades still snap.',
  'dried-grease': 'Stiff in one spot only: turn it end to end now and then before you think of oil.',
};

/** Where it lies, and so who can reach it, in words. */
export function whoReaches(finding: Finding, context: Context): string {
  const reach = reachInside(finding.surface, finding.soil, context);
  switch (reach.by) {
    case 'open-thread':
      return 'The focus thread lies open: a drop of light oil may free it.';
    case 'owner':
      return 'It may lie behind one ring: weigh opening that ring yourself against a workshop, or accept it.';
    case 'workshop':
      return `${BARS[reach.bar]} A workshop reaches it: weigh its price against the value, or accept it.`;
    default:
      return reach satisfies never;
  }
}

function triageInside(finding: Finding, context: Context): Triage {
  const { surface, soil, severity } = finding;
  if (!isWorthReaching(soil, severity)) return leave(TOO_LITTLE_INSIDE[soil] ?? SOILS[soil].why);
  const where = whoReaches(finding, context);
  if (reachInside(surface, soil, context).by === 'open-thread') return clean(where);
  return handOver(`${soil === 'internal-dust' ? 'So much dust inside may cost contrast.' : SOILS[soil].why} ${where}`);
}

function triageByThreshold({ surface, soil, severity }: Finding, { schools }: Context): Triage {
  if (severity >= SOILS[soil].actFrom) return clean(whyAct(soil, surface));
  if (schools.habit === 'after-every-outing') return clean('Your school cleans after every outing, a trace included.');
  return leave(whyLeave(soil, surface));
}

/** Metal at a battery: beyond a bloom it is a workshop's. */
function triageCorrosion({ soil, surface, severity }: Finding): Triage {
  return severity >= 3
    ? handOver('Corrosion has gone deep here: what leaked is caustic and the board behind may be hit.')
    : clean(whyAct(soil, surface));
}

/** A mirror box is blown out and nothing else; what air does not move there lies out of the light. */
function triageChamber(finding: Finding, context: Context): Triage {
  if (SOILS[finding.soil].nature === 'loose') return triageByThreshold(finding, context);
  if (finding.severity >= 4) return handOver('So much in the mirror box is a workshop’s: no cloth goes in from outside.');
  return leave('In the mirror box it lies out of the light: air only, and no cloth goes in.');
}

/** A finish turned tacky is something found from the first tack on; what becomes of it, the school says. */
function triageTacky({ schools }: Context): Triage {
  return schools.sticky === 'remove'
    ? clean('Your school removes it: about 20 minutes a pass, several passes; the lettering goes, the bare shell stays.')
    : leave(
        'Air it, open on a shelf, for two to twelve months: it often stops, may stay a little tacky, and the old look does not return. Shut away, it turns again. The lettering stays.',
      );
}

/** Growth is kept apart wherever it is; on a surface one can reach it is cleaned at home all the same. */
function triageGrowth({ surface, soil }: Finding): Triage {
  const { why } = SOILS[soil];
  const onGlass = familyOf(surface) === 'glass';
  if (soil !== 'fungus-outside' || onGlass) return { verdict: 'isolate', reason: why };
  return growthIsReachable(surface, soil)
    ? {
        verdict: 'isolate',
        reason: `Mould on the ${surfaceFacts(surface).name} spreads to the glass and to the neighbours; it comes off at home.`,
      }
    : { verdict: 'isolate', reason: why };
}

/**
 * What a single finding asks for: leave it, clean it, isolate the thing, or hand it over, and why in one line.
 * Severity 0 is nothing found and always `leave`.
 */
export function triage(finding: Finding, context: Context): Triage {
  const { surface, soil, severity } = finding;
  if (severity === 0) return leave('Nothing found.');
  if (isBehindStuckFilter(surface, context.traits))
    return leave('It lies behind a stuck filter. Free the filter first: a wide rubber band round the rim for grip.');
  if (familyOf(surface) === 'bath') return triageBath(finding);
  const nature = SOILS[soil].nature;
  switch (nature) {
    case 'damage':
      return polishes(finding, context) ? clean('A hairline in bare acrylic polishes out.') : triageDamage(finding);
    case 'passing':
      return leave(`${SOILS[soil].why} Keep it in a closed bag until it has warmed, then let it air.`);
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
          ? handOver(
              `The ${surfaceFacts(surface).name} is not reached from outside. ${whoReaches({ ...finding, soil: 'internal-dust' }, context)}`,
            )
          : leave(SOILS['internal-dust'].why);
      if (familyOf(surface) === 'chamber') return triageChamber(finding, context);
      return triageByThreshold(finding, context);
    default:
      return nature satisfies never;
  }
}

/** The gravest of several triages: isolate over hand over over clean over leave; the first told where they tie. */
export const gravest = (triages: readonly Triage[]): Triage =>
  triages.reduce<Triage | null>((worst, t) => (worst && gravity(t.verdict) <= gravity(worst.verdict) ? worst : t), null) ??
  leave('Nothing found.');
