import { SOILS, type Soil } from './knowledge/soils.js';
import { familyOf, surfaceFacts, type Surface } from './knowledge/surfaces.js';
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

const DO_NOT_OPEN = 'Only a workshop reaches it; weigh the price against the value, or accept it.';

/** Behind a stuck filter nothing can be reached until it is off. */
const behindStuckFilter = (surface: Surface, { traits }: Context) =>
  !!traits.filterFitted && !!traits.filterStuck && (surface === 'filter-back' || surface === 'front-glass');

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
  !traits.coated &&
  (surface === 'port-outside' || surface === 'port-inside');

function triageInside({ surface, soil, severity }: Finding, { traits }: Context): Triage {
  if (soil === 'internal-dust')
    return severity >= 4 ? handOver(`So much dust inside may cost contrast. ${DO_NOT_OPEN}`) : leave(SOILS[soil].why);
  if (soil === 'haze')
    return severity >= 2
      ? handOver(`${SOILS[soil].why} ${DO_NOT_OPEN}`)
      : leave('A trace of haze: note it and look again in three months whether it grows.');
  if (soil === 'dried-grease' && surface === 'helicoid' && traits.helicoidExposed && !traits.radioactiveGlass)
    return clean('The focus thread lies open: a drop of light oil may free it.');
  return handOver(`${SOILS[soil].why} ${DO_NOT_OPEN}`);
}

function triageByThreshold(finding: Finding, { schools }: Context): Triage {
  const { soil, severity } = finding;
  const facts = SOILS[soil];
  if (severity >= facts.actFrom) return clean(facts.why);
  if (schools.habit === 'after-every-outing') return clean('Your school cleans after every outing, a trace included.');
  return leave(facts.whyLeave);
}

/** Metal at a battery: beyond a bloom it is a workshop's. */
function triageCorrosion(finding: Finding): Triage {
  return finding.severity >= 3
    ? handOver('Corrosion has gone deep here: what leaked is caustic and the board behind may be hit.')
    : clean(SOILS.corrosion.why);
}

/**
 * What a single finding asks for: leave it, clean it, isolate the thing, or hand it over, and why in one line.
 * Severity 0 is nothing found and always `leave`.
 */
export function triage(finding: Finding, context: Context): Triage {
  const { surface, soil, severity } = finding;
  if (severity === 0) return leave('Nothing found.');
  if (behindStuckFilter(surface, context))
    return leave('It lies behind a stuck filter. Free the filter first: a wide rubber band round the rim for grip.');
  if (familyOf(surface) === 'bath') return triageBath(finding);
  const nature = SOILS[soil].nature;
  switch (nature) {
    case 'damage':
      return polishes(finding, context) ? clean('A hairline in bare acrylic polishes out.') : triageDamage(finding);
    case 'passing':
      return leave(`${SOILS[soil].why} Keep it in a closed bag until it has warmed, then let it air.`);
    case 'growth':
      return { verdict: 'isolate', reason: SOILS[soil].why };
    case 'tacky':
      if (severity >= 4) return clean('It is past airing; removing the coating takes the lettering with it.');
      return context.schools.sticky === 'remove'
        ? clean('Your school removes it: about 20 minutes a pass, the lettering goes, the bare shell stays.')
        : leave('Air it for two to twelve months; it often stops, though it may stay slightly tacky and the old look does not return.');
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
          ? handOver(`The ${surfaceFacts(surface).name} is not reached from outside. ${DO_NOT_OPEN}`)
          : leave(SOILS['internal-dust'].why);
      return triageByThreshold(finding, context);
    default:
      return nature satisfies never;
  }
}

/** The gravest of several triages: isolate over hand over over clean over leave. */
export const gravest = (triages: readonly Triage[]): Triage =>
  triages.reduce((worst, t) => (gravity(t.verdict) > gravity(worst.verdict) ? t : worst), leave('Nothing found.'));

/** Can fungus be reached on this surface without opening anything? */
export const growthIsReachable = (surface: Surface, soil: Soil): boolean =>
  soil === 'fungus-outside' && !['inner', 'sensor', 'mirror', 'matte', 'bath'].includes(familyOf(surface));
