import { care } from '@bright-keeper/core';
import { fStop } from '../sensor/fStop.js';
import { capital } from '../text.js';
import { barWords } from './bars.js';
import { ruleWords } from './rules.js';
import { whyAct, whyLeave } from './soilReasons.js';

const LITTLE_INSIDE: Partial<Record<care.Soil, string>> = {
  haze: 'A trace of haze: note it and look again in three months whether it grows.',
  oil: 'A trace of oil: note it, and see whether the blades still snap.',
  'dried-grease': 'Stiff in one spot only: turn it end to end now and then before you think of oil.',
};

const surfaceName = (surface: care.Surface): string => care.SURFACES[surface].name;
const whyOf = (soil: care.Soil): string => care.SOILS[soil].why;

/** Where it lies, and so who can reach it. */
export function reachWords(reach: care.InsideReach): string {
  switch (reach.by) {
    case 'open-thread':
      return 'The focus thread lies open: a drop of light oil may free it.';
    case 'owner':
      return 'It may lie behind one ring: weigh opening that ring yourself against a workshop, or accept it.';
    case 'workshop':
      return `${barWords(reach.bar)} A workshop reaches it: weigh its price against the value, or accept it.`;
    default:
      return reach satisfies never;
  }
}

type Saying = { [R in care.BecauseCode]: (because: Extract<care.Because, { reason: R }>) => string };

/** One sentence or two for every code. */
const SAYINGS: Saying = {
  'nothing-found': () => 'Nothing found.',
  'worth-a-touch': ({ soil, surface }) => whyAct(soil, surface),
  'little-enough': ({ soil, surface }) => whyLeave(soil, surface),
  'after-every-outing': () => 'Your school cleans after every outing, a trace included.',
  'behind-stuck-filter': () => 'It lies behind a stuck filter. Free the filter first: a wide rubber band round the rim for grip.',
  damage: ({ soil, grave, showsFrom }) =>
    [
      whyOf(soil),
      showsFrom
        ? `One so large shows in skies from ${fStop(showsFrom)} on.`
        : grave
          ? 'Ask a workshop only if it shows in the picture.'
          : '',
    ]
      .filter(Boolean)
      .join(' '),
  'never-shows': ({ soil, sizeMm, focalMm, fNumber }) =>
    `${capital(care.SOILS[soil].name)} of ${sizeMm} mm cannot show at ${focalMm} mm and ${fStop(fNumber)}, the smallest aperture in use: that is a reason to leave the glass alone.`,
  'worth-a-wash': () =>
    'So much is worth a wash: follow the maker’s washing procedure, a bath of water with cotton, or give it to a workshop.',
  'washing-costs-silver': () =>
    'It costs next to nothing in the picture, and each wash costs silver. The maker’s washing procedure, at long intervals, is the only way.',
  'polishes-out': () => 'A hairline in bare acrylic polishes out.',
  passes: ({ soil }) => `${whyOf(soil)} Keep it in a closed bag until it has warmed, then let it air.`,
  growth: ({ soil }) => whyOf(soil),
  'mould-comes-off': ({ surface }) =>
    `Mould on the ${surfaceName(surface)} spreads to the glass and to the neighbours; it comes off at home.`,
  'sticky-is-removed': () => 'Your school removes it: about 20 minutes a pass, several passes; the lettering goes, the bare shell stays.',
  'sticky-is-aired': () =>
    'Air it, open on a shelf, for two to twelve months: it often stops, may stay a little tacky, and the old look does not return. Shut away, it turns again. The lettering stays.',
  inside: ({ soil, reach }) => `${soil === 'internal-dust' ? 'So much dust inside may cost contrast.' : whyOf(soil)} ${reachWords(reach)}`,
  'little-inside': ({ soil }) => LITTLE_INSIDE[soil] ?? whyOf(soil),
  'thread-lies-open': () => reachWords({ by: 'open-thread' }),
  'not-reached-from-outside': ({ surface, reach }) => `The ${surfaceName(surface)} is not reached from outside. ${reachWords(reach)}`,
  'corrosion-goes-deep': () => 'Corrosion has gone deep here: what leaked is caustic and the board behind may be hit.',
  'chamber-needs-a-workshop': () => 'So much in the mirror box is a workshop’s: no cloth goes in from outside.',
  'chamber-out-of-the-light': () => 'In the mirror box it lies out of the light: air only, and no cloth goes in.',
  'where-no-cloth-reaches': () => 'It lies where no cloth reaches. A workshop opens it, or you accept it and keep it apart.',
  'workshop-opens': ({ bar }) => `${barWords(bar)} A workshop opens it, or you accept it.`,
  rule: ({ rule, surface }) => ruleWords(rule, surface),
  'not-in-drawer': ({ thing }) => `No ${care.thingName(thing)} in the drawer.`,
  'not-clean': ({ thing }) => `The ${care.thingName(thing)} is not clean: wash it or take a fresh one.`,
  'kept-for': ({ thing, role, surface }) =>
    `The ${care.thingName(thing)} is kept for ${role}; it does not touch the ${surfaceName(surface)}.`,
  'swab-too-wide': () => 'Every swab in the drawer is wider than this sensor: it would not lie flat.',
  'until-the-drawer-has': ({ lack }) => `Leave it until the drawer has what it needs: ${becauseWords(lack)}`,
  'no-gentle-way': () => 'No gentle way takes this off.',
  'finder-comes-with-it': () => 'A dirty mirror or screen usually comes with a dirty finder: look at its window and cup too.',
  'film-left': () => 'A film is left that another fluid may take. Let it rest, then try the next fluid or a finisher.',
  'lies-deeper': () => 'It lies behind this face, not on it: nothing from outside reaches it. Stop rubbing.',
  'is-damage': () => 'It is damage, not dirt: more wiping takes more with it. Leave it.',
  'did-not-come-off': () => 'It did not come off with all that is gentle. Stop rubbing.',
  'shutter-closed-on-it': () =>
    'The shutter closed while something was inside. Do not release it again: a workshop looks at blades and sensor.',
  'decided-then': () => 'So it was decided when it was last looked at; look again to know why.',
};

/** Why something is left, cleaned, kept apart, handed over, put off, refused or missing. */
export const becauseWords = (because: care.Because): string => (SAYINGS[because.reason] as (because: care.Because) => string)(because);
